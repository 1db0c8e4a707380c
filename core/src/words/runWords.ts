import { percentOf, showNumber } from '../base/index.ts';
import type { UseEstimate } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type {
  Bag,
  Bagging,
  BagHolds,
  BoxForm,
  Pack,
  PackedWool,
  PackGroup,
  PairedThing,
  Parting,
} from '../run/index.ts';
import { showLikely, showWeighed } from './amounts.ts';
import { choiceWords } from './choiceWords.ts';
import { joinWords } from './cutWords.ts';
import { SKILL_WORDS } from './needleWords.ts';
import { STAGE_WORDS } from './patternWords.ts';

export const BAGGING_WORDS: Readonly<Record<Bagging, string>> = {
  one: 'one bag, joins apart',
  stage: 'a bag for each stage',
  session: 'a bag for each session',
  colour: 'a bag for each colour',
  part: 'a bag for each part',
  own: 'own bags',
};

export const BOX_FORM_WORDS: Readonly<Record<BoxForm, string>> = {
  full: 'everything',
  refill: 'refill: wool and findings',
  'pattern-only': 'pattern only',
};

/** The part wool is on, or the two parts that a join holds together. */
export function ownerWords({ kind, id }: UseEstimate['owner'], { parts, joins }: Pattern): string {
  const nameOf = (partId: string) => parts.find((part) => part.id === partId)?.name ?? '';
  if (kind === 'part') return nameOf(id);
  const join = joins.find((candidate) => candidate.id === id);
  return join ? `${nameOf(join.partId)} to ${nameOf(join.ontoId)}` : '';
}

/** What is written on a bag: all that it holds, also what was too little for a bag of its own; nothing on the figure’s own. */
export function bagWords(
  { holds, makeAt, merged }: Pick<Bag, 'holds' | 'makeAt' | 'merged'>,
  group: Pick<PackGroup, 'makes'>,
  fibreName: (fibreId: string) => string,
): string {
  const make = makeAt === null ? undefined : group.makes[makeAt];
  const wordsOf = (held: BagHolds) => holdsWords(held, make?.build ?? group.makes[0]?.build, fibreName);
  const itself = wordsOf(holds);
  const words =
    merged.length === 0
      ? itself
      : joinWords([...new Set([itself || 'figure', ...merged.map((bag) => wordsOf(bag.holds))])]);
  const title = make && group.makes.length > 1 ? make.pattern.title : '';
  return [title, words].filter((word) => word !== '').join(', ');
}

/** What was too little for a bag of its own and is in this one: `with detail (0.2 g), too little for a bag of its own`. */
export function mergedWords(
  { merged, makeAt }: Pick<Bag, 'merged' | 'makeAt'>,
  group: Pick<PackGroup, 'makes'>,
  fibreName: (fibreId: string) => string,
): string[] {
  if (merged.length === 0) return [];
  const pattern = group.makes[makeAt ?? 0]?.build;
  const names = merged.map(
    ({ holds, massG }) => `${holdsWords(holds, pattern, fibreName)} (${showLikely(massG)})`,
  );
  return [`with ${joinWords(names)}, too little for a bag of its own`];
}

/** What a bag holds, by itself. */
export function holdsWords(
  holds: BagHolds,
  pattern: Pattern | undefined,
  fibreName: (fibreId: string) => string,
): string {
  switch (holds.kind) {
    case 'figure':
      return '';
    case 'joins':
      return 'bag of joins';
    case 'if-needed':
      return 'only if needed';
    case 'stage':
      return STAGE_WORDS[holds.stage];
    case 'session':
      return holds.name === '' ? `session ${holds.number}` : `session ${holds.number}: ${holds.name}`;
    case 'colour':
      return fibreName(holds.fibreId);
    case 'part':
      return pattern ? ownerWords(holds.owner, pattern) : '';
    case 'own':
      return holds.name;
    case 'spare-bag':
      return 'spare bag for all';
    case 'undecided':
      return 'laid out for who has not chosen';
  }
}

/** When a bag is opened that is not opened at the start; empty where it is. */
export function keepBackWords({ holds, isKeptBack }: Pick<Bag, 'holds' | 'isKeptBack'>): string {
  if (holds.kind === 'if-needed') return 'Open only if needed';
  if (holds.kind === 'joins') return 'Keep to the end';
  return isKeptBack ? 'Keep for later' : '';
}

/** That a part and the found thing it goes into belong together. */
export function pairWords({ insideMm }: PairedThing, part: string, thing: string): string {
  const range =
    insideMm === null
      ? 'measure each'
      : insideMm.least === insideMm.most
        ? `about ${showNumber(insideMm.least, 1)} mm inside`
        : `${showNumber(insideMm.least, 1)}–${showNumber(insideMm.most, 1)} mm inside`;
  return `${part} and its own ${thing} belong together (${range}): mark both`;
}

/** What a pack’s label calls it. */
export function packWords({ kind, number, name }: Pick<Pack, 'kind' | 'number' | 'name'>): string {
  switch (kind) {
    case 'seat':
      return name === '' ? `Seat ${number}` : `${number} · ${name}`;
    case 'box':
      return name === '' ? `Box ${number}` : `Box ${number} · ${name}`;
    case 'spare':
      return name === '' ? `Spare ${number}` : `Spare ${number} · ${name}`;
    case 'demonstration':
      return number === 1 ? 'Demonstration' : `Demonstration ${number}`;
    case 'sample':
      return `Sample ${number}`;
  }
}

/** What the packs of a group are: `Russet`, a box by its name, or the usual. */
export function groupWords({ makes, recipe, choices, skill, sample, isOpen }: PackGroup): string {
  const [first] = makes;
  const what = sample
    ? `up to step ${sample.stepNumber}`
    : recipe
      ? recipe.name
      : isOpen
        ? 'not chosen yet'
        : first
          ? choiceWords(first.pattern, choices) || 'as written'
          : '';
  const size = first && !recipe ? sizedWords(first.sizeFraction) : '';
  return [what, size, skill && !recipe ? SKILL_WORDS[skill] : ''].filter((word) => word !== '').join(', ');
}

/** How large it is made; nothing where it is as written. */
export const sizedWords = (sizeFraction: number): string =>
  sizeFraction === 1 ? '' : `at ${percentOf(sizeFraction)} % of the size`;

/** How a weighed lot is parted. */
export function partingWords({ halvings, into }: Parting): string {
  const times =
    halvings === 1 ? 'halve it' : halvings === 2 ? 'halve it twice' : `halve it ${halvings} times`;
  const parts = into.map((count) => `in ${count}`).join(', then each ');
  if (halvings === 0) return `part it ${parts}`;
  return into.length === 0 ? times : `${times}, then each ${parts}`;
}

/** Whether a credit has to be printed, in one line. */
export const creditLine = (credits: readonly string[]): string => credits.join(' · ');

/** Wool in the bag of who reads a sheet that several have: `9.4 g`, `9.4–10.2 g`, `at least 9.4 g`. */
export function packedWoolWords({ leastG, mostG, unknownCount }: PackedWool, scaleStepG: number): string {
  if (mostG === 0 && unknownCount > 0) return 'amount unknown';
  // What the scale does not show is never told as nought.
  if (mostG < scaleStepG / 2) return `under ${showWeighed(scaleStepG, scaleStepG)}`;
  const [least, most] = [showWeighed(leastG, scaleStepG), showWeighed(mostG, scaleStepG)];
  const grams = least === most ? most : `${least.replace(' g', '')}–${most}`;
  return unknownCount > 0 ? `at least ${grams}` : grams;
}
