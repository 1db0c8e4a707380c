import { bareCode, CODE_SIGNS, isOfCodeSigns } from '../../base/index.ts';

/** What the code of a label names: a pack, or one bag in it. */
export interface CodedPlace {
  readonly runId: string;
  readonly packId: string;
  /** `key` of the bag; null: the pack itself. */
  readonly bagKey: string | null;
}

/** Of the run, and of the place in it: 19 and 34 bits. The last sign checks the others. */
const [RUN_SIGNS, PLACE_SIGNS] = [4, 7];
export const LABEL_SIGNS = RUN_SIGNS + PLACE_SIGNS + 1;
const GROUP = 4;

/**
 * The same for the same place always, and on every device: nothing is kept of it. Two packs of a studio share one about as often
 * as one run in half a million has the first four signs of another, and then the place still has to be the same.
 * @returns twelve signs
 */
export function labelCode({ runId, packId, bagKey }: CodedPlace): string {
  const signs = runSigns(runId) + signsOf(hash(`${packId}\n${bagKey ?? ''}`), PLACE_SIGNS);
  return signs + checkSign(signs);
}

/** What the codes of a run’s labels begin with. */
export const runSigns = (runId: string): string => signsOf(hash(runId), RUN_SIGNS);

/** In groups of four, to be read and typed. */
export const labelCodeInGroups = (code: string): string =>
  (code.match(new RegExp(`.{1,${GROUP}}`, 'g')) ?? []).join('-');

/** What was scanned or typed. */
export type LabelCodeRead =
  | { readonly kind: 'code'; readonly code: string }
  /** It is as long as one, and its signs do not fit together. */
  | { readonly kind: 'misread' }
  | { readonly kind: 'no-code' };

/** Small letters, gaps and hyphens are whoever’s typed it. */
export function readLabelCode(text: string): LabelCodeRead {
  const code = bareCode(text);
  if (code.length !== LABEL_SIGNS) return { kind: 'no-code' };
  return isOfCodeSigns(code) && checkSign(code.slice(0, -1)) === code.at(-1)
    ? { kind: 'code', code }
    : { kind: 'misread' };
}

/**
 * Which of a run’s packs and bags a code names.
 * @param packs with the keys of their bags
 * @returns null: none of them
 */
export function placeOfCode(
  code: string,
  runId: string,
  packs: readonly { readonly packId: string; readonly bagKeys: readonly string[] }[],
): CodedPlace | null {
  if (!code.startsWith(runSigns(runId))) return null;
  for (const { packId, bagKeys } of packs)
    for (const bagKey of [null, ...bagKeys]) {
      const place = { runId, packId, bagKey };
      if (labelCode(place) === code) return place;
    }
  return null;
}

/** FNV-1a of 64 bits, mixed once more (the finaliser of SplitMix64), so that its upper bits are as good as its lower. */
function hash(text: string): bigint {
  let value = 0xcbf29ce484222325n;
  // UTF-16 units in place of bytes: the core knows no encoder.
  for (let at = 0; at < text.length; at++)
    value = BigInt.asUintN(64, (value ^ BigInt(text.charCodeAt(at))) * 0x100000001b3n);
  value = BigInt.asUintN(64, (value ^ (value >> 30n)) * 0xbf58476d1ce4e5b9n);
  value = BigInt.asUintN(64, (value ^ (value >> 27n)) * 0x94d049bb133111ebn);
  return value ^ (value >> 31n);
}

function signsOf(value: bigint, count: number): string {
  const base = BigInt(CODE_SIGNS.length);
  let [rest, signs] = [value, ''];
  for (let at = 0; at < count; at++) {
    signs += CODE_SIGNS[Number(rest % base)];
    rest /= base;
  }
  return signs;
}

/** Luhn’s, modulo the number of signs: tells every single wrong sign, and nearly every two that changed places. */
function checkSign(signs: string): string {
  const base = CODE_SIGNS.length;
  const sum = [...signs].reverse().reduce((total, sign, at) => {
    const weighed = CODE_SIGNS.indexOf(sign) * (at % 2 === 0 ? 2 : 1);
    return total + Math.floor(weighed / base) + (weighed % base);
  }, 0);
  return CODE_SIGNS[(base - (sum % base)) % base] ?? '';
}
