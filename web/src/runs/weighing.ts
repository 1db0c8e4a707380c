import type { ScaleInfo } from '@lanakit/core/api';
import { type FibreWeighing, type RunTick, weighedOf, type WeighMark } from '@lanakit/core/run';
import type { Taking } from '@lanakit/core/scale';
import type { Lot } from '@lanakit/core/shelf';
import type { AtScale } from './MarkGroup.tsx';

/** What is weighed out, in whichever order. */
export interface Weighing extends AtScale {
  all: readonly FibreWeighing[];
  /** The scale this device weighs with; null: by hand. */
  scale: ScaleInfo | null;
  /** Of each weighing its lot. */
  lotOf: ReadonlyMap<string, Lot>;
  taking: Taking;
  onTaking: (taking: Taking) => void;
}

/** How many of these are weighed as they are wanted. */
export const doneOf = (marks: readonly WeighMark[], ticks: ReadonlyMap<string, RunTick>): number =>
  weighedOf(marks, ticks).right;
