import type { LineRead, ScaleUnit } from './protocol.ts';

/** What is known of a scale by the lines it said. */
export interface ScaleState {
  /** Lines come; false: it is unplugged, or switched off. */
  readonly isHere: boolean;
  readonly unit: ScaleUnit;
  /** What it reads to; null: it has not said. */
  readonly stepG: number | null;
  readonly mostG: number | null;
  /** What it shows, less its tare; null: nothing that can be read. */
  readonly massG: number | null;
  readonly isStable: boolean;
  readonly fault: 'over' | 'under' | null;
  readonly tareG: number;
  readonly isBatteryLow: boolean;
  /** Lines that could not be read, since it came. */
  readonly notRead: number;
}

export const NO_SCALE: ScaleState = {
  isHere: false,
  unit: 'g',
  stepG: null,
  mostG: null,
  massG: null,
  isStable: false,
  fault: null,
  tareG: 0,
  isBatteryLow: false,
  notRead: 0,
};

/** The same scale after a line of it. */
export function afterLine(state: ScaleState, line: LineRead): ScaleState {
  const here = { ...state, isHere: true };
  switch (line.kind) {
    case 'hello':
      return { ...here, unit: line.unit, stepG: line.stepG, mostG: line.mostG };
    case 'reading':
      return { ...here, massG: line.massG, isStable: line.isStable, fault: null };
    case 'fault':
      return { ...here, massG: null, isStable: false, fault: line.fault };
    case 'tare':
      return { ...here, tareG: line.massG };
    case 'battery':
      return { ...here, isBatteryLow: line.isLow };
    case 'not_read':
      return { ...here, notRead: state.notRead + 1 };
  }
}

/** Unplugged: what it showed last is nothing any more. What it is stays known. */
export const unplugged = (state: ScaleState): ScaleState => ({
  ...state,
  isHere: false,
  massG: null,
  isStable: false,
  fault: null,
});
