import type { Pattern } from '../../pattern/index.ts';
import type { RunInput } from '../document/run.ts';
import { type Seat, seatsOf } from '../document/seat.ts';
import { leftHandedSteps } from '../who/leftHanded.ts';
import { type Designs, type Make, packGroups } from './packGroups.ts';

/** A design as whoever opens one pack makes it. */
export interface PackPattern {
  readonly make: Make;
  /** With its options, colours, swaps and size, and for a left hand its steps the other way round. */
  readonly build: Pattern;
  /** Who sits there; null: a box. */
  readonly seat: Seat | null;
}

/**
 * The pattern of one pack.
 * @param number of the seat or box
 * @param at which of the designs in a box, from 0
 * @returns null where no pack of this run has that number, or no such design
 */
export function patternOfPack(designs: Designs, run: RunInput, number: number, at = 0): PackPattern | null {
  const group = packGroups(designs, run).find(({ seats }) => seats.includes(number));
  const make = group?.makes[at];
  if (!make) return null;
  const seat = run.kind === 'class' ? (seatsOf(run)[number - 1] ?? null) : null;
  return { make, seat, build: forHand(make.build, seat?.isLeftHanded ?? false) };
}

/** A build as this hand makes it. */
export function forHand(build: Pattern, isLeftHanded: boolean): Pattern {
  if (!isLeftHanded) return build;
  const textOf = new Map(leftHandedSteps(build).map(({ number, text }) => [number, text]));
  return {
    ...build,
    steps: build.steps.map((step, at) => ({ ...step, text: textOf.get(at + 1) ?? step.text })),
  };
}
