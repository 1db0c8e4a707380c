import { Type, type Static } from '@sinclair/typebox';
import { DEVICE_ROLES } from '@lanakit/core/api';
import { formCheck } from './formCheck.ts';
import type { Device } from '../access/devices.ts';
import { keepOwnFile, readOwnFile } from '../access/ownFiles.ts';

const FILE = 'devices.json';

const Kept = Type.Object({
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

/** What cannot be read lets nobody in: devices are paired anew then. */
export function pairedBefore(dataDir: string): readonly Device[] {
  const kept = readOwnFile(dataDir, FILE);
  return kept !== null && check(kept).length === 0 ? (kept as Static<typeof Kept>).devices : [];
}

export const keepPaired = (dataDir: string, paired: readonly Device[]): void =>
  keepOwnFile(dataDir, FILE, { devices: paired });
