import type { MeantSo, Pattern } from '../pattern/index.ts';
import type { Remark } from './remark.ts';
import { thingOf } from './subject.ts';

/** A remark that its author has looked at, and her reason. */
export interface MeantRemark {
  readonly remark: Remark;
  readonly reason: string;
}

/** What is still to be looked at, and what its author meant so: of that nobody asks again until the thing changes. */
export function sortedByMeant(
  pattern: Pattern,
  remarks: readonly Remark[],
): { open: Remark[]; meant: MeantRemark[] } {
  const [open, meant]: [Remark[], MeantRemark[]] = [[], []];
  for (const remark of remarks) {
    const alike = pattern.meant.filter(({ code }) => code === remark.code);
    const stamp = alike.length > 0 ? stampOf([remark, thingOf(remark, pattern)]) : '';
    // All of the remark is in its stamp; by which key it was kept has not always been the same.
    const kept = alike.find((each) => each.stamp === stamp);
    if (kept) meant.push({ remark, reason: kept.reason });
    else open.push(remark);
  }
  return { open, meant };
}

/** As it is kept with the pattern: what is asked of, and what it was like. */
const meantSo = (pattern: Pattern, remark: Remark, reason: string): MeantSo => ({
  code: remark.code,
  of: keyOf(remark),
  stamp: stampOf([remark, thingOf(remark, pattern)]),
  reason,
});

/** Said of the same thing before, whatever it was like then. */
export const withMeant = (pattern: Pattern, remark: Remark, reason: string): MeantSo[] => [
  ...pattern.meant.filter(({ code, of }) => code !== remark.code || of !== keyOf(remark)),
  meantSo(pattern, remark, reason),
];

export const withoutMeant = (pattern: Pattern, remark: Remark): MeantSo[] =>
  pattern.meant.filter(({ code, of }) => code !== remark.code || of !== keyOf(remark));

/** What it is about, by its ids; of two in one step’s words, by those. */
function keyOf(remark: Remark): string {
  const ids = Object.entries(remark).flatMap(([key, value]) =>
    key !== 'code' && (key.endsWith('Id') || key.endsWith('Key')) && typeof value === 'string' ? [value] : [],
  );
  if (remark.code === 'order_broken') ids.push(remark.link.beforeId, remark.link.afterId);
  if (remark.code === 'slot_rule_broken') ids.push(remark.rule.slotId, remark.rule.thanSlotId);
  if (remark.code === 'caution_taken_off') ids.push(remark.caution);
  if ('inText' in remark) ids.push(remark.inText);
  if (remark.inBuild) ids.push(remark.inBuild.optionId, remark.inBuild.valueId);
  return ids.join(' ').slice(0, 200);
}

/** Short, and another when anything in it is (FNV-1a, from both ends). */
function stampOf(value: unknown): string {
  const text = JSON.stringify(value);
  const hash = (letters: Iterable<string>) => {
    let sum = 0x811c9dc5;
    for (const letter of letters) sum = Math.imul(sum ^ (letter.codePointAt(0) ?? 0), 0x01000193);
    return (sum >>> 0).toString(36);
  };
  return `${hash(text)}${hash([...text].reverse())}`;
}
