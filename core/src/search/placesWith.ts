import type { Pattern } from '../pattern/index.ts';
import type { RunInput } from '../run/index.ts';
import { beginsEach } from './wordsIn.ts';

/** A place within a thing, by the words it is found by. */
export interface SearchedPlace {
  readonly kind: 'part' | 'step' | 'person' | 'box';
  /** Of the part or step; of a person the seat’s number, of a box its recipe’s id. */
  readonly id: string;
  readonly text: string;
}

/** Parts by name and steps by what they say. */
export const placesOfPattern = ({ parts, steps }: Pattern): readonly SearchedPlace[] => [
  ...parts.map(({ id, name }): SearchedPlace => ({ kind: 'part', id, text: name })),
  ...steps.map(({ id, text, cue }): SearchedPlace => ({
    kind: 'step',
    id,
    text: `${text} ${cue ?? ''}`.trim(),
  })),
];

/** People by name and note, boxes by name. */
export const placesOfRun = ({
  roster,
  recipes,
}: Pick<RunInput, 'roster' | 'recipes'>): readonly SearchedPlace[] => [
  ...roster.map(({ seat, name, note }): SearchedPlace => ({
    kind: 'person',
    id: String(seat),
    text: `${name} ${note}`.trim(),
  })),
  ...recipes.map(({ id, name }): SearchedPlace => ({ kind: 'box', id, text: name })),
];

/** Those that have all the words. @param words as `wordsIn` gives them */
export const placesWith = (
  places: readonly SearchedPlace[],
  words: readonly string[],
): readonly SearchedPlace[] => places.filter(({ text }) => beginsEach(text, words));
