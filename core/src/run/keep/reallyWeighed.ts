import { roundToMicrogram } from '../../base/index.ts';
import type { RunTick } from './tick.ts';
import { allMarks, type FibreWeighing } from './weighOut.ts';

/** What of a fibre lies in bags by now. Grams. */
export interface FibreWeighed {
  /** Of what is ticked, what was wanted. */
  readonly wantedG: number;
  /** The same, as the scale showed it; by hand it counts as what was wanted. */
  readonly weighedG: number;
  /** Weighings that a scale told. */
  readonly byScale: number;
  readonly done: number;
  readonly of: number;
}

/** What a run has really taken of each fibre so far: the sum of its weighings, as the scale showed them. */
export const reallyWeighed = (
  all: readonly FibreWeighing[],
  ticks: ReadonlyMap<string, RunTick>,
): ReadonlyMap<string, FibreWeighed> =>
  new Map(
    all.map((weighing) => {
      const marks = allMarks([weighing]);
      const done = marks.flatMap((mark) => {
        const tick = ticks.get(mark.mark);
        return tick?.isDone ? [{ mark, tick }] : [];
      });
      const sum = (of: (each: (typeof done)[number]) => number) =>
        roundToMicrogram(done.reduce((total, each) => total + of(each), 0));
      return [
        weighing.fibreId,
        {
          wantedG: sum(({ mark }) => mark.massG),
          weighedG: sum(({ tick }) => tick.weighedG ?? tick.massG),
          byScale: done.filter(({ tick }) => typeof tick.weighedG === 'number').length,
          done: done.length,
          of: marks.length,
        },
      ];
    }),
  );
