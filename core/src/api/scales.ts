import type { ScaleState } from '../scale/index.ts';

/** A scale that can be weighed with. */
export interface ScaleInfo {
  readonly id: string;
  readonly name: string;
  /** `wire`: a real one, or a program, that says our lines over a socket or a file. */
  readonly kind: 'simulated' | 'wire';
  /** Tare and zero can be said to it. */
  readonly hears: boolean;
  readonly state: ScaleState;
  /** Of a simulated one what lies on it, grams; null: nobody knows but the scale. */
  readonly loadG: number | null;
}
