import { setImmediate } from 'node:timers/promises';
import type { Store } from '../db/index.ts';
import { drawingOf } from './runDrawing.ts';
import { packedAlone, runsAhead } from './runSources.ts';

/**
 * Works out what runs ahead want, one run at a time, and lets everybody else be answered in between. Afterwards it is
 * remembered, for whoever adds it up.
 */
export async function warmPlans(store: Store, today: string): Promise<void> {
  for (const { id } of runsAhead(store, today)) {
    // As it is by now: it may have been changed, or deleted, while another was worked out.
    const run = store.runs.find(id);
    if (!run) continue;
    store.sound.each('run', [run], (found) => {
      packedAlone(store, found);
      drawingOf(store, found).kit();
    });
    await setImmediate();
  }
}
