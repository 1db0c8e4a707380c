import { Type, type Static } from '@sinclair/typebox';
import { DEVICE_ROLES } from '@lanakit/core/api';
import { formCheck } from './formCheck.ts';
import type { Device } from '../access/devices.ts';
import type { OwnerKey } from '../access/passphrase.ts';
import { keepOwnFile, readOwnFile } from '../access/ownFiles.ts';

const FILE = 'devices.json';

const Kept = Type.Object({
  /** By which passphrase they were let in: another lets nobody in any more. */
  owner: Type.String(),
  devices: Type.Array(
    Type.Object({
      id: Type.String({ minLength: 1 }),
      name: Type.String(),
      role: Type.Union(DEVICE_ROLES.map((role) => Type.Literal(role))),
      seesNames: Type.Boolean(),
      came: Type.Literal('paired'),
      since: Type.Number(),
      seenAt: Type.Number(),
      address: Type.String(),
      tokens: Type.Array(
        Type.Object({
          hashHex: Type.String({ pattern: '^[0-9a-f]{64}$' }),
          at: Type.Number(),
          endsAt: Type.Union([Type.Number(), Type.Null()]),
        }),
        { minItems: 1 },
      ),
    }),
  ),
});
const check = formCheck(Kept);

/** What cannot be read, or was let in by another passphrase, lets nobody in: devices are paired anew then. */
export function pairedBefore(dataDir: string, { saltHex }: Pick<OwnerKey, 'saltHex'>): readonly Device[] {
  const kept = readOwnFile(dataDir, FILE);
  if (kept === null || check(kept).length > 0) return [];
  const { owner, devices } = kept as Static<typeof Kept>;
  return owner === saltHex ? devices : [];
}

export const keepPaired = (
  dataDir: string,
  { saltHex }: Pick<OwnerKey, 'saltHex'>,
  paired: readonly Device[],
): void => keepOwnFile(dataDir, FILE, { owner: saltHex, devices: paired });
