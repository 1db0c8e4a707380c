import type { Role } from '@lanakit/core/api';
import type { PackPlace } from './packSessions.ts';

/** Who asks. */
export interface Caller {
  /** Null: nobody we know. */
  readonly role: Role | null;
  /** As it stands in the log of writes: what the device is called, else where it is. */
  readonly name: string;
  readonly deviceId: string | null;
  readonly deviceName: string | null;
  /** Names, and what is noted of persons. */
  readonly seesNames: boolean;
  readonly address: string;
  /** The pack whose code it came with. On loopback its owner may look at one too. */
  readonly pack: PackPlace | null;
  readonly tokens: { readonly device: string | null; readonly pack: string | null };
}

/** Roles that may ask; `anybody`: whoever reaches it. */
export type Asker = Role | 'anybody';

export const OWNER = ['owner'] as const satisfies readonly Asker[];
export const AT_THE_TABLE = ['owner', 'helper'] as const satisfies readonly Asker[];
export const WITH_A_PACK = ['owner', 'helper', 'learner'] as const satisfies readonly Asker[];
export const ANYBODY = ['anybody'] as const satisfies readonly Asker[];

export const mayAsk = (roles: readonly Asker[], { role, pack }: Pick<Caller, 'role' | 'pack'>): boolean =>
  roles.includes('anybody') ||
  (role !== null && roles.includes(role)) ||
  (pack !== null && roles.includes('learner'));
