import type { ScaleInfo } from '@lanakit/core/api';
import { lineSplitter } from '@lanakit/core/base';
import {
  afterLine,
  NO_SCALE,
  readScaleLine,
  type ScaleAct,
  type ScaleCommand,
  type ScaleState,
  unplugged,
} from '@lanakit/core/scale';
import type { OpenDevice, DeviceAdapter } from './adapter.ts';
import { simulatedAdapter, type SimulatedAdapter } from './simulatedScale.ts';

/** However many lines it says, so often its state is told on: sooner than anybody sees, and no more than a screen shows. */
const TOLD_EVERY_MS = 40;
/** Nobody listens any more: it is let go a little later, for a page that is only turned. */
const LET_GO_MS = 10_000;
const MOST_SCALES = 8;

type Watcher = (state: ScaleState) => void;

interface Held {
  readonly adapter: DeviceAdapter | SimulatedAdapter;
  readonly watchers: Set<Watcher>;
  state: ScaleState;
  open: OpenDevice | null;
  letGo: NodeJS.Timeout | null;
}

export type ScaleHub = ReturnType<typeof scaleHub>;

/** All scales of a studio, each read once for however many look at it. @param wired those that are there; beside them one is simulated */
export function scaleHub(wired: readonly DeviceAdapter[] = []) {
  const held = new Map<string, Held>();
  const add = (adapter: DeviceAdapter): string => {
    let number = held.size + 1;
    while (held.has(`scale-${number}`)) number += 1;
    const id = `scale-${number}`;
    held.set(id, { adapter, watchers: new Set(), state: NO_SCALE, open: null, letGo: null });
    return id;
  };
  for (const adapter of wired) add(adapter);
  add(simulatedAdapter('Simulated scale', 1));
  return {
    all: (): ScaleInfo[] => [...held].map(([id, scale]) => infoOf(id, scale)),
    /** Another that is not there, to try with. @returns null: there are as many as may be */
    simulate(name: string): ScaleInfo | null {
      if (held.size >= MOST_SCALES) return null;
      const id = add(simulatedAdapter(name, held.size + 1));
      return infoOf(id, held.get(id) as Held);
    },
    /** @returns false: there is no such scale, or it is a real one */
    remove(id: string): boolean {
      const scale = held.get(id);
      if (scale?.adapter.kind !== 'simulated') return false;
      scale.open?.close();
      return held.delete(id);
    },
    /** Tells what it shows, now and whenever that changes. @returns how to stop; null: there is no such scale */
    watch(id: string, watcher: Watcher): (() => void) | null {
      const scale = held.get(id);
      if (!scale) return null;
      scale.watchers.add(watcher);
      listen(scale);
      watcher(scale.state);
      return () => {
        scale.watchers.delete(watcher);
        leave(scale);
      };
    },
    /** @returns false: there is no such scale, or it hears nothing */
    say(id: string, command: ScaleCommand): boolean {
      const scale = held.get(id);
      if (!scale?.adapter.hears) return false;
      listen(scale);
      scale.open?.say(command);
      leave(scale);
      return true;
    },
    /** Something is done to a simulated one. @returns false: there is none of that id */
    act(id: string, act: ScaleAct): boolean {
      const scale = held.get(id);
      if (!scale || !('do' in scale.adapter)) return false;
      listen(scale);
      scale.adapter.do(act);
      leave(scale);
      return true;
    },
    close(): void {
      for (const { open, letGo } of held.values()) {
        if (letGo) clearTimeout(letGo);
        open?.close();
      }
      held.clear();
    },
  };
}

const infoOf = (id: string, { adapter, state }: Held): ScaleInfo => ({
  id,
  name: adapter.name,
  kind: adapter.kind,
  hears: adapter.hears,
  state,
  loadG: 'loadG' in adapter ? adapter.loadG() : null,
});

function listen(scale: Held): void {
  if (scale.letGo) clearTimeout(scale.letGo);
  scale.letGo = null;
  if (scale.open) return;
  let split = lineSplitter();
  const tell = toldNowAndThen(scale);
  scale.open = scale.adapter.open({
    text(chunk) {
      for (const text of split(chunk)) {
        const line = readScaleLine(text, scale.state.unit);
        if (line) scale.state = afterLine(scale.state, line);
      }
      tell();
    },
    gone() {
      // Half a line of before is no beginning of what comes next.
      split = lineSplitter();
      scale.state = unplugged(scale.state);
      tell();
    },
  });
}

function leave(scale: Held): void {
  if (scale.watchers.size > 0 || scale.letGo) return;
  scale.letGo = setTimeout(() => {
    scale.open?.close();
    scale.open = null;
    scale.letGo = null;
    scale.state = unplugged(scale.state);
  }, LET_GO_MS);
  scale.letGo.unref();
}

/** At once where it was quiet, and else at the next turn: the last state is always told. */
function toldNowAndThen(scale: Held): () => void {
  let toldAt = 0;
  let next: NodeJS.Timeout | null = null;
  const tell = () => {
    next = null;
    toldAt = performance.now();
    for (const watcher of scale.watchers) watcher(scale.state);
  };
  return () => {
    if (next) return;
    const wait = toldAt + TOLD_EVERY_MS - performance.now();
    if (wait <= 0) tell();
    else {
      next = setTimeout(tell, wait);
      next.unref();
    }
  };
}
