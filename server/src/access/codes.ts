import { randomInt } from 'node:crypto';
import { bareCode, CODE_SIGNS, isOfCodeSigns } from '@lanakit/core/base';

const GROUP = 5;

/** As many signs as a few wrong tries in a thousand years ask for: 39 bits for minutes, 49 for as long as a class says. */
export const PAIRING_SIGNS = 8;
export const PACK_SIGNS = 10;

/** A code nobody guesses. */
export const newCode = (signs: number): string =>
  Array.from({ length: signs }, () => CODE_SIGNS[randomInt(CODE_SIGNS.length)]).join('');

/** In two groups, to be read aloud and typed. */
export function codeInGroups(code: string): string {
  const first = Math.ceil(code.length / Math.ceil(code.length / GROUP));
  return code.length <= GROUP ? code : `${code.slice(0, first)}-${code.slice(first)}`;
}

/** What somebody typed, as it is kept. @returns null: no such code can be */
export function readCode(text: string, signs: number): string | null {
  const code = bareCode(text);
  return code.length === signs && isOfCodeSigns(code) ? code : null;
}
