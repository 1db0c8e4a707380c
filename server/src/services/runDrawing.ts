import type { NeedleKit } from '@lanakit/core/needles';
import {
  kitOfClass,
  NO_PROMISES,
  type Run,
  type RunInput,
  type ThingsDrawn,
  thingsLent,
  type ThingShort,
  thingsPromisedInOrder,
  thingsShort,
  thingsTaken,
  type ToPack,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { designsOf, gearOf, packedAlone, shelfOf, termsKey, woolStamp } from './runSources.ts';

/** What a run takes beside wool follows from the shelf, from runs, and from how often needles break. */
const DRAWN_FROM = ['things', 'ledger', 'runs', 'needles'] as const;

/** A run with what it draws of findings, needles and tools. */
export interface RunDrawing extends ThingsDrawn {
  readonly run: Run;
  readonly input: RunInput;
  readonly toPack: ToPack;
  /** Of a class, worked out once it is asked for. */
  readonly kit: () => NeedleKit | null;
}

export const drawingOf = (store: Store, run: Run): RunDrawing =>
  store.remember(DRAWN_FROM, `drawing of ${run.id}`, () => {
    const { input, toPack } = packedAlone(store, run);
    const { needles, tools } = gearOf(store);
    const kit = once(() => (input.kind === 'class' ? kitOfRun(store, run) : null));
    return {
      id: run.id,
      date: run.date,
      run,
      input,
      toPack,
      kit,
      taken: thingsTaken(toPack, input, { findings: shelfOf(store).findings, needles, tools }),
      lent: once(() => thingsLent(toPack, input, { tools, kit: kit() })),
    };
  });

/** Worked out when it is first asked for. */
function once<T extends object | null>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** The needles a class needs, from the shelf as it is. */
export function kitOfRun(store: Store, run: Run): NeedleKit {
  const { needles, tools, evidence, stamp } = gearOf(store);
  return store.rememberAs(
    `kit of ${run.id}`,
    `${termsKey(run)} ${stamp} ${woolStamp(store, run)}`,
    () =>
      kitOfClass(run, {
        designs: designsOf(store, run),
        wool: shelfOf(store),
        needles,
        evidence,
        tools,
      }).kit,
  );
}

/** Everything beside wool that is short for each run, or that nobody has counted, after those before it. */
export function shortInOrder(store: Store, inOrder: readonly RunDrawing[]): ThingShort[][] {
  const promised = thingsPromisedInOrder(inOrder);
  const { findings } = shelfOf(store);
  const gear = gearOf(store);
  return inOrder.map(({ toPack, input, kit }, at) =>
    thingsShort(toPack, input, { findings, ...gear, kit: kit(), promised: promised[at] ?? NO_PROMISES }),
  );
}
