import type { Wool } from '@lanakit/core/engine';
import type { NeedleKit } from '@lanakit/core/needles';
import { type Run, type ThingsDrawn, thingsLent, thingsTaken } from '@lanakit/core/run';
import type { Store } from './db/index.ts';
import { packedFrom, type PackedFrom } from './routes/takings.ts';
import { kitOfRun } from './routes/trays.ts';

/** A run with what it draws of findings, needles and tools. */
export interface RunDrawing extends ThingsDrawn, PackedFrom {
  readonly run: Run;
  /** Of a class, worked out once it is asked for. */
  readonly kit: () => NeedleKit | null;
}

export const drawingOf = (store: Store, run: Run, wool: Wool): RunDrawing =>
  store.remember(`drawing of ${run.id}`, () => drawingNow(store, run, wool));

function drawingNow(store: Store, run: Run, wool: Wool): RunDrawing {
  const { input, toPack } = packedFrom(store, run, wool);
  const { shelf } = store;
  const [needles, tools] = [shelf.needles(), shelf.tools()];
  const kit = once(() => (input.kind === 'class' ? kitOfRun(store, run) : null));
  return {
    id: run.id,
    date: run.date,
    run,
    input,
    toPack,
    kit,
    taken: thingsTaken(toPack, input, { findings: wool.findings, needles, tools }),
    lent: once(() => thingsLent(toPack, input, { tools, kit: kit() })),
  };
}

/** Worked out when it is first asked for. */
function once<T extends object | null>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}
