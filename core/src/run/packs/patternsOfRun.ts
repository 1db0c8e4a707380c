import type { RunInput } from '../document/run.ts';
import { seatsOf } from '../document/seat.ts';
import { type Designs, makeKey, packGroups } from './packGroups.ts';
import { forHand, type PackPattern } from './patternOfPack.ts';

/** A sheet of a run’s patterns, and how often it is printed. */
export interface RunPattern extends Omit<PackPattern, 'seat'> {
  readonly isLeftHanded: boolean;
  /** Of the seats or boxes it is for, rising; none where it is only for what is spare. */
  readonly numbers: readonly number[];
  /** One for each of them, and for what is spare or shown. */
  readonly copies: number;
}

/** Every pattern that a run’s packs are made by, each once: a box has one of each of its designs. */
export function patternsOfRun(designs: Designs, run: RunInput): RunPattern[] {
  const seats = run.kind === 'class' ? seatsOf(run) : [];
  const isLeft = (number: number) => seats[number - 1]?.isLeftHanded === true;
  const sheets = new Map<string, RunPattern>();
  for (const { makes, sample, seats: numbers, packs } of packGroups(designs, run)) {
    if (sample) continue;
    const left = numbers.filter(isLeft);
    const others = numbers.filter((number) => !isLeft(number));
    const distinct = new Map(makes.map((make) => [makeKey(make), make]));
    for (const [key, make] of distinct) {
      const add = (isLeftHanded: boolean, packNumbers: readonly number[], copies: number) => {
        if (copies === 0) return;
        const at = `${key} ${String(isLeftHanded)}`;
        const before = sheets.get(at);
        sheets.set(at, {
          make,
          build: before?.build ?? forHand(make.build, isLeftHanded),
          isLeftHanded,
          numbers: [...(before?.numbers ?? []), ...packNumbers].sort((a, b) => a - b),
          copies: (before?.copies ?? 0) + copies,
        });
      };
      add(false, others, packs - left.length);
      add(true, left, left.length);
    }
  }
  return [...sheets.values()];
}
