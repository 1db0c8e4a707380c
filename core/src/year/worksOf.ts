import type { Commission, Quote } from '../commissions/index.ts';
import { type Making, minutesOfMaking, tookOfMaking, type WoolSum } from '../logbook/index.ts';
import type { Cost } from '../run/index.ts';
import { type Known, knownOf, type MadeOf, NOTHING_KNOWN, plus, type Work } from './work.ts';

/** A run that is over, as far as it is told. */
interface RunTold {
  readonly kind: 'class' | 'kits';
  readonly id: string;
  readonly name: string;
  readonly date: string;
  readonly made: readonly MadeOf[];
  readonly wool: WoolSum;
  /** Weighing, packing, cutting and what is prepared, as it is reckoned. */
  readonly preparedMinutes: number;
  /** Of a class, how long it sat; null: nobody has said. None: kits. */
  readonly sittingMinutes: readonly (number | null)[];
  /** What is in it, without the maker’s time. */
  readonly cost: Cost;
  readonly takingsMinor: number | null;
}

export const workOfRun = ({ wool, preparedMinutes, sittingMinutes, cost, ...run }: RunTold): Work => ({
  kind: run.kind,
  id: run.id,
  name: run.name,
  date: run.date,
  made: run.made,
  takingsMinor: run.takingsMinor,
  // What was weighed back; else what was weighed out; else what left the shelf as it was planned.
  woolG: knownOf(wool.tookG ?? wool.weighedG ?? wool.plannedG),
  minutes: sittingMinutes.map(knownOf).reduce(plus, knownOf(preparedMinutes)),
  materialMinor: { known: cost.minor, unknownCount: cost.unknownCount },
});

/** Its wool is told by its grams, not priced lot by lot. */
export function workOfMaking(making: Making): Work {
  const { knownG, unknownCount } = tookOfMaking(making);
  const { known, untimedCount } = minutesOfMaking(making);
  return {
    kind: 'making',
    id: making.id,
    name: making.title,
    date: making.date,
    made: [{ patternId: making.patternId, title: making.title, count: 1 }],
    woolG: { known: knownG, unknownCount },
    minutes: known === null ? knownOf(null) : { known, unknownCount: untimedCount },
    takingsMinor: 0,
    materialMinor: knownOf(null),
  };
}

/**
 * Of what was asked for and handed over: wool and time by the pages on which it was made, material as it was quoted.
 * @param title of the pattern that answers it
 */
export function workOfCommission(
  { id, title: name, askedOn, handedOverOn, patternId, count, agreedMinor }: Commission,
  title: string,
  quote: Quote | null,
  makings: readonly Making[],
): Work {
  const pages = makings.map(workOfMaking);
  const sum = (of: (work: Work) => Known): Known =>
    pages.length === 0 ? knownOf(null) : pages.map(of).reduce(plus, NOTHING_KNOWN);
  return {
    kind: 'commission',
    id,
    name,
    date: handedOverOn ?? askedOn,
    made: [{ patternId, title, count }],
    woolG: sum(({ woolG }) => woolG),
    minutes: sum(({ minutes }) => minutes),
    takingsMinor: agreedMinor,
    materialMinor: quote
      ? { known: quote.material.minor, unknownCount: quote.material.unknownCount }
      : knownOf(null),
  };
}

/** Figures of one design, so many of them: added up by pattern, in the order they come. */
export function madeTogether(made: readonly MadeOf[]): MadeOf[] {
  const all = new Map<string, MadeOf>();
  for (const { patternId, title, count } of made) {
    const key = patternId ?? `untold ${title}`;
    all.set(key, { patternId, title, count: (all.get(key)?.count ?? 0) + count });
  }
  return [...all.values()];
}
