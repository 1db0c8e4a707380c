import { Type, type Static } from '@sinclair/typebox';
import { byCodePoint, discriminated, oneOf, orUnknown, strict } from '../../base/index.ts';
import { type NeedleInput, PROFILES } from './needle.ts';

/** Sizes of those who use no numbers, coarse to fine. They are relative: one maker’s fine is another’s ordinary. */
export const FEELS = ['large', 'medium', 'small'] as const;
export type Feel = (typeof FEELS)[number];

export const WantedByGauge = Type.Object(
  {
    by: Type.Literal('gauge'),
    gauge: Type.Number({ description: '32 coarse – 42 fine' }),
    profile: orUnknown(oneOf(PROFILES)),
  },
  strict,
);
export const WantedByFeel = Type.Object({ by: Type.Literal('feel'), feel: oneOf(FEELS) }, strict);

/** The sort of needle a pattern asks for, whatever is on anybody’s shelf. No profile: any will do. */
export const NeedleWanted = discriminated('by', [WantedByGauge, WantedByFeel]);
export type NeedleWanted = Static<typeof NeedleWanted>;

/** What the maker calls a size that has no number: `large, from the old tin` is large. */
export function feelOf({ sizeWord }: Pick<NeedleInput, 'sizeWord'>): Feel | null {
  const words = sizeWord.toLowerCase().split(/[^a-z]+/);
  return FEELS.find((feel) => words.includes(feel)) ?? null;
}

/** Whether a needle of the shelf is of the sort that is asked for. */
export function isOfSort(needle: NeedleInput, wanted: NeedleWanted): boolean {
  if (wanted.by === 'feel') return feelOf(needle) === wanted.feel;
  return needle.gauge === wanted.gauge && (wanted.profile === null || needle.profile === wanted.profile);
}

/** One word for each sort: `38`, `38-star`, `large`. */
export const wantedKey = (wanted: NeedleWanted): string =>
  wanted.by === 'feel' ? wanted.feel : [wanted.gauge, wanted.profile ?? []].flat().join('-');

/** The other way round; null for what is no such word. */
export function wantedOfKey(key: string): NeedleWanted | null {
  const feel = FEELS.find((word) => word === key);
  if (feel) return { by: 'feel', feel };
  const [gauge, word] = key.split('-');
  const profile = PROFILES.find((candidate) => candidate === word) ?? null;
  return /^\d+(?:\.\d+)?$/.test(gauge ?? '') ? byGauge(Number(gauge), profile) : null;
}

/** Gauges a size word is read as where only a number can be compared. Ours, and no more than an order. */
export const GAUGE_OF_FEEL: Readonly<Record<Feel, number>> = { large: 36, medium: 38, small: 40 };

/** How fine it is, as a gauge. */
export const finenessOf = (wanted: NeedleWanted): number =>
  wanted.by === 'gauge' ? wanted.gauge : GAUGE_OF_FEEL[wanted.feel];

/** Coarse before fine; of one gauge in the order of their keys. */
export const byFineness = (a: NeedleWanted, b: NeedleWanted): number =>
  finenessOf(a) - finenessOf(b) || byCodePoint(wantedKey(a), wantedKey(b));

/** Each sort once, coarse to fine. */
export function distinctNeedles(all: readonly NeedleWanted[]): NeedleWanted[] {
  const byKey = new Map(all.map((wanted) => [wantedKey(wanted), wanted]));
  return [...byKey.values()].sort(byFineness);
}

export const byGauge = (
  gauge: number,
  profile: Static<typeof WantedByGauge>['profile'] = null,
): NeedleWanted => ({
  by: 'gauge',
  gauge,
  profile,
});

/** Whether a needle of one sort does where another is asked for: the same, or its gauge where any profile will do. */
export const serves = (given: NeedleWanted, asked: NeedleWanted): boolean =>
  wantedKey(given) === wantedKey(asked) ||
  (given.by === 'gauge' && asked.by === 'gauge' && asked.profile === null && given.gauge === asked.gauge);

/** Where any needle of a gauge will do, and one with a profile is in the hand anyway, that one does. */
export function oneProfileEach(needles: readonly (NeedleWanted | null)[]): (NeedleWanted | null)[] {
  const first = new Map<number, NeedleWanted>();
  for (const wanted of needles) {
    if (wanted?.by === 'gauge' && wanted.profile !== null && !first.has(wanted.gauge)) {
      first.set(wanted.gauge, wanted);
    }
  }
  return needles.map((wanted) =>
    wanted?.by === 'gauge' && wanted.profile === null ? (first.get(wanted.gauge) ?? wanted) : wanted,
  );
}
