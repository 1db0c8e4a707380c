import { roundToMicrogram } from '../base/index.ts';
import type { FibreWeighed } from '../run/index.ts';
import type { ClassEvent } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';

/** What a class took of a fibre. Grams; null: nobody can tell. */
export interface FibreTook {
  readonly fibreId: string;
  /** As it was planned, all packs and the spare bag. */
  readonly plannedG: number;
  /** What went into bags; null: nothing of it was ticked as weighed. */
  readonly weighedG: number | null;
  /** Out of the spare bag, as far as it was said. */
  readonly spareG: number;
  /** Weighed back in; null: nothing was. */
  readonly leftG: number | null;
  /** Weighed, less what came back; null: one of them is not known. */
  readonly tookG: number | null;
}

/** What a class took against what was planned for it. @param planned grams by fibre, in their order */
export function tookOf(planned: ReadonlyMap<string, number>, weighed: ReadonlyMap<string, FibreWeighed>, all: readonly ClassEvent[]): FibreTook[] {
  const events = inOrder(all);
  const left = sums(eventsOf(events, 'left').map(({ what }) => what));
  const spare = sums(eventsOf(events, 'spare').map(({ what }) => what));
  const strays = [...left.keys(), ...spare.keys()].filter((fibreId) => !planned.has(fibreId));
  return [...new Set([...planned.keys(), ...strays])].map((fibreId): FibreTook => {
    const lay = weighed.get(fibreId);
    const weighedG = lay && lay.wantedG > 0 ? lay.weighedG : null;
    const leftG = left.get(fibreId) ?? null;
    return {
      fibreId,
      plannedG: roundToMicrogram(planned.get(fibreId) ?? 0),
      weighedG,
      spareG: spare.get(fibreId) ?? 0,
      leftG,
      tookG: weighedG === null || leftG === null ? null : roundToMicrogram(weighedG - leftG),
    };
  });
} // prettier-ignore

function sums(all: readonly { readonly fibreId: string; readonly massG: number }[]): Map<string, number> {
  const by = new Map<string, number>();
  for (const { fibreId, massG } of all) by.set(fibreId, roundToMicrogram((by.get(fibreId) ?? 0) + massG));
  return by;
}
