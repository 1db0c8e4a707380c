import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown, strict } from '../../base/index.ts';

export const ORIGINS = ['own', 'derived', 'learned', 'unknown'] as const;
export type Origin = (typeof ORIGINS)[number];

/** What somebody may do with a design that is not theirs. */
export const PERMITTED = ['make', 'sell-made', 'teach', 'sell-kits', 'share', 'adapt', 'translate'] as const;
export type Permitted = (typeof PERMITTED)[number];

export const PERMISSION_STATES = ['granted', 'asked', 'refused', 'not-asked'] as const;
export type PermissionState = (typeof PERMISSION_STATES)[number];

const Permission = Type.Object(
  {
    what: oneOf(PERMITTED),
    state: oneOf(PERMISSION_STATES),
    /** A day, such as 2026-03-14. */
    date: orUnknown(Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' })),
    conditions: Type.String({ maxLength: 300 }),
  },
  strict,
);
type Permission = Static<typeof Permission>;

/** Where a design, a picture, an outline or a technique comes from, what is allowed, and what has to be said. */
export const Rights = Type.Object(
  {
    origin: oneOf(ORIGINS),
    /** From whom or what, where it is not one’s own. */
    from: Type.String({ maxLength: 200 }),
    permissions: Type.Array(Permission, { maxItems: PERMITTED.length }),
    /** Printed wherever it is used. */
    credit: Type.String({ maxLength: 300 }),
  },
  strict,
);
export type Rights = Static<typeof Rights>;

export const OWN_RIGHTS: Rights = { origin: 'own', from: '', permissions: [], credit: '' };

/** What is known of one permission: on one’s own work everything is; elsewhere what nobody asked is not asked. */
export function permissionState(rights: Rights, what: Permitted): PermissionState {
  if (rights.origin === 'own') return 'granted';
  return rights.permissions.find((permission) => permission.what === what)?.state ?? 'not-asked';
}
