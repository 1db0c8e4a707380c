import {
  type Designs,
  type PackedRun,
  patternsOfRun,
  type RunInput,
  type RunPattern,
  seatName,
  seatsOf,
} from '../../run/index.ts';
import { NO_SURROUNDINGS, type Surroundings } from '../../pattern/index.ts';
import type { Needle } from '../../shelf/index.ts';
import { counted, makeNotes, makeWords } from '../../words/index.ts';
import { forWhom } from '../forWhom.ts';
import { packedForReader } from '../packedForReader.ts';
import { NO_SOURCES } from './bookletSources.ts';
import type { BookletRequest } from './source.ts';
import type { BookletTerms } from './terms.ts';

/** Which booklets of a run: one for every pack with its name on it, each kind once with whose it is, or those of one pack. */
export type RunBookletsAsked =
  { readonly of: 'packs' } | { readonly of: 'kinds' } | { readonly of: 'pack'; readonly number: number };

/** Booklets in the order they are printed in. Those of one kind share what they are made from. */
export interface RunBooklets {
  readonly requests: readonly BookletRequest[];
  readonly booklets: readonly {
    /** Place of its kind among the requests. */
    readonly request: number;
    /** On its front: `for Ines`, `Box 4`. */
    readonly whose: string;
  }[];
}

interface RunBookletFacts {
  readonly designs: Designs;
  readonly packed: PackedRun;
  readonly revisionNumbers: ReadonlyMap<string, number>;
  readonly needles: readonly Needle[];
  /** The patterns around each, by its revision; what is not there has none. */
  readonly surroundings: ReadonlyMap<string, Surroundings>;
}

/** What each pack of a run is made by, with what lies in its bag. Empty where no pack has the number asked for. */
export function runBooklets({ designs, packed, revisionNumbers, needles, surroundings }: RunBookletFacts, terms: BookletTerms, asked: RunBookletsAsked): RunBooklets {
  const { input } = packed;
  const kinds = patternsOfRun(designs, input).filter(
    ({ numbers }) => asked.of !== 'pack' || numbers.includes(asked.number),
  );
  const requests = kinds.map((kind): BookletRequest => {
    const { make, build, isLeftHanded } = kind;
    return {
      whole: make.pattern,
      build,
      what: [...makeWords(make.pattern, make), `revision ${revisionNumbers.get(make.revisionId) ?? '?'}`],
      notes: makeNotes(build, { ...make, isLeftHanded }),
      terms,
      needles,
      packed: packedForReader(packed, make, kind.numbers),
      surroundings: surroundings.get(make.revisionId) ?? NO_SURROUNDINGS,
      // What is in the kit needs no other source.
      sources: NO_SOURCES,
      translation: null,
    };
  });
  const booklets = kinds
    .flatMap((kind, request) => printed(kind, asked).map((number) => ({ number, request, kind })))
    .toSorted((a, b) => a.number - b.number || a.request - b.request)
    .map(({ number, kind, request }) => ({ request, whose: whoseWords(kind, number, asked, input) }));
  return { requests, booklets };
} // prettier-ignore

/** After all that have a number: what is spare or shown. */
const SPARE = Number.MAX_SAFE_INTEGER;

function whoseWords({ numbers, copies }: RunPattern, number: number, { of }: RunBookletsAsked, input: RunInput): string {
  if (of === 'kinds') return `${counted(copies, 'copy', 'copies')}: ${forWhom(input, numbers, copies)}`;
  if (number === SPARE) return 'spare or shown';
  if (input.kind === 'kits') return `Box ${number}`;
  const seat = seatsOf(input)[number - 1];
  return seat ? `for ${seatName(seat)}` : '';
} // prettier-ignore

function printed({ numbers, copies }: RunPattern, asked: RunBookletsAsked): number[] {
  switch (asked.of) {
    case 'pack':
      return [asked.number];
    case 'kinds':
      return [numbers[0] ?? SPARE];
    case 'packs':
      return [...numbers, ...Array<number>(Math.max(0, copies - numbers.length)).fill(SPARE)];
  }
}
