import { seededRandom } from '@lanakit/core/base';

/** Chance that can be had again by its seed. */
export class Chance {
  readonly #next: () => number;

  constructor(seed: number) {
    this.#next = seededRandom(seed);
  }

  /** 0 ≤ x < 1. */
  readonly real = (): number => this.#next();

  /** A whole number from low to high, both included. */
  readonly whole = (low: number, high: number): number => low + Math.floor(this.#next() * (high - low + 1));

  readonly is = (chance: number): boolean => this.#next() < chance;

  readonly pick = <T>(from: readonly T[]): T => from[Math.floor(this.#next() * from.length)] as T;
}
