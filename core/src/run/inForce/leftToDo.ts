import type { PackedRun } from './packedRun.ts';
import { packedMark, type RunTick, weighedOf } from '../keep/tick.ts';
import { allMarks, weighings } from '../keep/weighOut.ts';

/** What is still to be done at the table for a run. */
export interface LeftToDo {
  /** Weighings that are not ticked as they should be. */
  readonly unweighed: number;
  /** Packs that are not closed. */
  readonly unpacked: number;
}

/** @param ticks by their mark */
export function leftToDo(
  { plan, packs, wool, input }: PackedRun,
  ticks: ReadonlyMap<string, RunTick>,
): LeftToDo {
  const marks = allMarks(weighings(plan, packs, wool.fibres, input.scaleStepG));
  return {
    unweighed: marks.length - weighedOf(marks, ticks).right,
    unpacked: packs.filter(({ id }) => ticks.get(packedMark(id))?.isDone !== true).length,
  };
}
