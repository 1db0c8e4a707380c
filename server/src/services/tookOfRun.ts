import { type FibreTook, tookOf } from '@lanakit/core/classDay';
import { reallyWeighed, type Run, weighings } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { inForceOf } from './runInForce.ts';

/** What a class took of each fibre, against what was planned. */
export function tookOfRun(store: Store, run: Run, today: string): FibreTook[] {
  const { plan, packs, wool, input } = inForceOf(store, run, today).packed;
  const ticks = new Map(store.runs.ticks(run.id).map((tick) => [tick.mark, tick]));
  const planned = new Map<string, number>();
  for (const { fibreId, classG } of plan.fibres)
    planned.set(fibreId, (planned.get(fibreId) ?? 0) + classG);
  const all = weighings(plan, packs, wool.fibres, input.scaleStepG);
  return tookOf(planned, reallyWeighed(all, ticks), store.classEvents.of(run.id));
} // prettier-ignore
