import { createHash, randomBytes } from 'node:crypto';

/** What a browser holds to be known again: 256 bits, kept here only as a hash, so that who reads our file finds no way in. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
