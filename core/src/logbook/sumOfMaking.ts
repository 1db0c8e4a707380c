import { roundToMicrogram } from '../base/index.ts';
import type { JudgedEvidence } from './learning.ts';
import type { MakingInput } from './making.ts';
import { tookOfLine, tookOfMaking, type TookOfMaking } from './took.ts';

/** Minutes of the steps that were timed. */
interface MinutesOfMaking {
  /** Null: none was. */
  readonly known: number | null;
  readonly untimedCount: number;
}

export function minutesOfMaking({ steps }: Pick<MakingInput, 'steps'>): MinutesOfMaking {
  const timed = steps.flatMap(({ minutes }) => (minutes === null ? [] : [minutes]));
  return {
    known: timed.length === 0 ? null : timed.reduce((sum, minutes) => sum + minutes, 0),
    untimedCount: steps.length - timed.length,
  };
}

/** What a page comes to. */
interface SumOfMaking {
  readonly took: TookOfMaking;
  /** Before anything was weighed it was expected to take so much; null: not all that is weighed can be held against anything. */
  readonly expectedG: number | null;
  readonly minutes: MinutesOfMaking;
  readonly broken: number;
}

/** @param evidence what the page teaches */
export function sumOfMaking(
  making: Pick<MakingInput, 'lines' | 'steps'>,
  evidence: readonly Pick<JudgedEvidence, 'kind' | 'expected'>[],
): SumOfMaking {
  const held = evidence.filter(({ kind }) => kind === 'wool');
  const weighed = making.lines.filter((line) => tookOfLine(line) !== null);
  const expectedG = held.reduce((sum, { expected }) => sum + expected, 0);
  // Like with like: where a bag has nothing it could be held against, nothing is said of all of them.
  const isWhole = held.length === weighed.length && expectedG > 0;
  return {
    took: tookOfMaking(making),
    expectedG: isWhole ? roundToMicrogram(expectedG) : null,
    minutes: minutesOfMaking(making),
    broken: making.steps.reduce((sum, { broken }) => sum + broken, 0),
  };
}
