import { randomInt } from 'node:crypto';

/** No two that look alike on a label or a screen: neither 0 and O nor 1, I and L; no U, so that no word comes of it. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const GROUP = 5;

/** As many signs as a few wrong tries in a thousand years ask for: 39 bits for minutes, 49 for as long as a class says. */
export const PAIRING_SIGNS = 8;
export const PACK_SIGNS = 10;

/** A code nobody guesses. */
export const newCode = (signs: number): string =>
  Array.from({ length: signs }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** In two groups, to be read aloud and typed. */
export function codeInGroups(code: string): string {
  const first = Math.ceil(code.length / Math.ceil(code.length / GROUP));
  return code.length <= GROUP ? code : `${code.slice(0, first)}-${code.slice(first)}`;
}

/** What somebody typed, as it is kept: small letters, gaps and hyphens are theirs. @returns null: no such code can be */
export function readCode(text: string, signs: number): string | null {
  const code = text.toUpperCase().replaceAll(/[\s\-–_.]/g, '');
  return code.length === signs && [...code].every((sign) => SIGNS.includes(sign)) ? code : null;
}
