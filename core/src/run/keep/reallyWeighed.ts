import { roundToMicrogram } from '../../base/index.ts';
import type { RunTick } from './tick.ts';
import { allMarks, type FibreWeighing } from './weighOut.ts';

/** What of a fibre lies in bags by now. Grams. */
export interface FibreWeighed {
  /** Of what is ticked, what was wanted. */
  readonly wantedG: number;
  /** The same, as the scale showed it; by hand it counts as what was wanted. */
  readonly weighedG: number;
  /** More than was wanted; below nought: less. */
  readonly overG: number;
  /** Weighings that a scale told. */
  readonly byScale: number;
}

/**
 * What should lie in a drawer after so much was weighed out of it, grams; below nought: more was weighed than its ledger knows of.
 * @param onHandG by the ledger; null: never counted
 * @param isOffShelf what was weighed has left the ledger already
 */
export const leftInDrawer = (
  { weighedG }: Pick<FibreWeighed, 'weighedG'>,
  onHandG: number | null,
  isOffShelf: boolean,
): number | null => (onHandG === null ? null : roundToMicrogram(onHandG - (isOffShelf ? 0 : weighedG)));

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
      const wantedG = sum(({ mark }) => mark.massG);
      const weighedG = sum(({ tick }) => tick.weighedG ?? tick.massG);
      const byScale = done.filter(({ tick }) => typeof tick.weighedG === 'number').length;
      return [weighing.fibreId, { wantedG, weighedG, overG: roundToMicrogram(weighedG - wantedG), byScale }];
    }),
  );
