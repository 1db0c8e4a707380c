import type { PatternEstimate } from '../engine/index.ts';
import { activeMinutes, countRange, type Level, LEVELS, type Pattern } from '../pattern/index.ts';
import { acrossMm } from '../shapes/index.ts';

export type LevelMeasure = 'smallest' | 'pieces' | 'joins' | 'minutes';

/** One thing that speaks for a level. */
interface LevelReason {
  readonly measure: LevelMeasure;
  /** mm, pieces, joins, or minutes. */
  readonly value: number;
  readonly level: Level;
}

export interface LevelProposal {
  readonly level: Level;
  readonly reasons: readonly LevelReason[];
}

/** Up to where each level goes: `some-practice` from the first number on, `practised` from the second. Ours. */
const FROM: Readonly<Record<Exclude<LevelMeasure, 'smallest'>, readonly [number, number]>> = {
  pieces: [7, 15],
  joins: [5, 10],
  minutes: [150, 300],
};
/** Features smaller than this need a practised hand, or some practice. */
const SMALLEST_MM = { practised: 3, somePractice: 6 } as const;

/** The level a pattern asks for: the highest that anything in it asks for. */
export function proposeLevel(pattern: Pattern, estimate: PatternEstimate): LevelProposal {
  const smallest = smallestMm(estimate);
  const reasons: LevelReason[] = [
    ...(smallest === null
      ? []
      : [{ measure: 'smallest', value: smallest, level: levelOfSize(smallest) } as const]),
    counted('pieces', sum(pattern.parts.map(({ count }) => countRange(count)?.likely ?? 1))),
    counted('joins', sum(estimate.joins.map(({ count }) => count?.likely ?? 1))),
    counted('minutes', activeMinutes(pattern).known),
  ];
  return { level: highest(reasons.map(({ level }) => level)), reasons };
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

const highest = (levels: readonly Level[]): Level =>
  LEVELS[Math.max(0, ...levels.map((level) => LEVELS.indexOf(level)))] ?? 'first-timer';

function counted(measure: Exclude<LevelMeasure, 'smallest'>, value: number): LevelReason {
  const [some, practised] = FROM[measure];
  return {
    measure,
    value,
    level: value >= practised ? 'practised' : value >= some ? 'some-practice' : 'first-timer',
  };
}

const levelOfSize = (mm: number): Level =>
  mm < SMALLEST_MM.practised ? 'practised' : mm < SMALLEST_MM.somePractice ? 'some-practice' : 'first-timer';

/** Across the thinnest part that is shaped, mm; what is laid on does not count, nor what is not known. */
function smallestMm({ parts }: PatternEstimate): number | null {
  const across = parts.flatMap(({ solid, working }) =>
    solid && working.part.shape.kind !== 'patch' ? [acrossMm(solid)] : [],
  );
  return across.length > 0 ? Math.min(...across) : null;
}
