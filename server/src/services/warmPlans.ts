import { setImmediate } from 'node:timers/promises';
import type { Store } from '../db/index.ts';
import { drawingOf } from './runDrawing.ts';
import { packedAlone, runsAhead } from './runSources.ts';

/** So long others wait at most while plans are worked out, but for one run that takes longer by itself. */
const SLICE_MS = 20;
/** What is written meanwhile makes some of it worked out again; after so often the rest is, when it is asked for. */
const MOST_PASSES = 3;

/** All that plans rest on. */
const RESTS_ON = ['things', 'ledger', 'patterns', 'runs', 'needles'] as const;

/** Of the data as they are: whether all is worked out. */
const warmthOf = (store: Store, today: string): { isDone: boolean } =>
  store.remember(RESTS_ON, `warmth of ${today}`, () => ({ isDone: false }));

/** Whoever asks while a pass is under way waits for that one. */
const underWay = new WeakMap<Store, Promise<void>>();

/**
 * Works out what runs ahead want, and lets everybody else be answered in between. Afterwards it is remembered, for whoever
 * adds it up.
 */
export async function warmPlans(store: Store, today: string): Promise<void> {
  for (let pass = 0; pass < MOST_PASSES && !warmthOf(store, today).isDone; pass++) {
    const running = underWay.get(store) ?? begin(store, today);
    await running;
  }
}

function begin(store: Store, today: string): Promise<void> {
  const running = workOut(store, today).finally(() => underWay.delete(store));
  underWay.set(store, running);
  return running;
}

async function workOut(store: Store, today: string): Promise<void> {
  const warmth = warmthOf(store, today);
  let sliceBegan = performance.now();
  for (const { id } of runsAhead(store, today)) {
    // As it is by now: it may have been changed, or deleted, while another was worked out.
    const run = store.runs.find(id);
    if (!run) continue;
    store.sound.each('run', [run], (found) => {
      packedAlone(store, found);
      drawingOf(store, found).kit();
    });
    if (performance.now() - sliceBegan < SLICE_MS) continue;
    await setImmediate();
    sliceBegan = performance.now();
  }
  // Of other data by now it tells nothing: then this is not what is remembered.
  warmth.isDone = true;
}
