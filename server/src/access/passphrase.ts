import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { keepOwnFile, readOwnFile } from './ownFiles.ts';

/** What is kept of a passphrase: never itself. Beside the studio and not in it, so that no backup and no file carries it away. */
export interface OwnerKey {
  readonly saltHex: string;
  readonly hashHex: string;
  /** Cost of scrypt (RFC 7914): N. */
  readonly cost: number;
  readonly setAt: string;
}

/** Long enough that nobody guesses it through what slows them down; OWASP asks for eight at least. */
export const LEAST_SIGNS = 12;
const MOST_SIGNS = 200;
const [COST, BLOCK, PARALLEL, HASH_BYTES] = [2 ** 15, 8, 1, 32];

export type PassphraseFault = 'too_short' | 'too_long' | 'one_sign';

/** Why it may not be taken; null: it may. */
export function passphraseFault(text: string): PassphraseFault | null {
  const signs = [...text.normalize('NFC')];
  if (signs.length < LEAST_SIGNS) return 'too_short';
  if (signs.length > MOST_SIGNS) return 'too_long';
  return new Set(signs).size < 4 ? 'one_sign' : null;
}

const hashOf = (text: string, salt: Buffer, cost: number): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    // Twice of what it takes (128·N·r bytes).
    const options = { N: cost, r: BLOCK, p: PARALLEL, maxmem: 256 * cost * BLOCK };
    scrypt(text.normalize('NFC'), salt, HASH_BYTES, options, (error, hash) =>
      error ? reject(error) : resolve(hash),
    );
  });

export async function ownerKey(text: string, now: Date, cost = COST): Promise<OwnerKey> {
  const salt = randomBytes(16);
  const hash = await hashOf(text, salt, cost);
  return { saltHex: salt.toString('hex'), hashHex: hash.toString('hex'), cost, setAt: now.toISOString() };
}

/** Takes as long for a wrong one as for the right one. */
export async function isRight(key: OwnerKey, text: string): Promise<boolean> {
  const hash = await hashOf(text.slice(0, MOST_SIGNS * 4), Buffer.from(key.saltHex, 'hex'), key.cost);
  const kept = Buffer.from(key.hashHex, 'hex');
  return kept.length === hash.length && timingSafeEqual(kept, hash);
}

const FILE = 'owner.json';

export const keepOwner = (dataDir: string, key: OwnerKey): void => keepOwnFile(dataDir, FILE, key);

/** @returns null: none was set, or what is there is no key */
export function readOwner(dataDir: string): OwnerKey | null {
  const key = (readOwnFile(dataDir, FILE) ?? {}) as Partial<OwnerKey>;
  const isKey =
    /^[\da-f]{32}$/.test(key.saltHex ?? '') &&
    /^[\da-f]{64}$/.test(key.hashHex ?? '') &&
    Number.isInteger(key.cost);
  return isKey ? (key as OwnerKey) : null;
}
