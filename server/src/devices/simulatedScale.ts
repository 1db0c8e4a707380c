import {
  SCALE_COMMANDS,
  SIMULATED_SCALE,
  type ScaleAct,
  scaleLine,
  type ScaleLine,
  simulatedScale,
} from '@lanakit/core/scale';
import type { DeviceAdapter, DeviceEars } from './adapter.ts';

/** So often it says what it shows. */
const EVERY_MS = 100;

export interface SimulatedAdapter extends DeviceAdapter {
  readonly do: (act: ScaleAct) => void;
  readonly loadG: () => number;
}

/** A scale that is not there: what is put on it lies on while nobody listens. @param seed of its noise */
export function simulatedAdapter(name: string, seed: number): SimulatedAdapter {
  const scale = simulatedScale(seed);
  let ears: DeviceEars | null = null;
  const say = (lines: readonly ScaleLine[]) => {
    if (lines.length > 0) ears?.text(lines.map((line) => `${scaleLine(line, 'g')}\n`).join(''));
  };
  return {
    name,
    kind: 'simulated',
    hears: true,
    loadG: scale.loadG,
    do(act) {
      say(scale.do(act));
      if (act.act === 'unplug') ears?.gone();
    },
    open(listening) {
      ears = listening;
      // Listened to anew it says what it is, as one that is switched on does.
      if (scale.isPlugged()) say([{ kind: 'hello', unit: 'g', ...SIMULATED_SCALE }]);
      const timer = setInterval(() => say(scale.after(EVERY_MS / 1000)), EVERY_MS);
      timer.unref();
      return {
        say: (line) => {
          const command = SCALE_COMMANDS.find((each) => each === line);
          if (command) say(scale.do({ act: command }));
        },
        close: () => {
          clearInterval(timer);
          ears = null;
        },
      };
    },
  };
}
