import type { Wool } from '../engine/index.ts';
import { fibresUsed, isWool, type Pattern } from '../pattern/index.ts';
import { colourDifference, type Fibre, type Preparation } from '../shelf/index.ts';
import type { ReviewContext } from './context.ts';
import { remembered } from './remembered.ts';

/** Colours as words call them, sRGB: middling ones, for a word is no swatch. */
const COLOUR_WORDS: Readonly<Record<string, string>> = {
  white: '#f2f0ea',
  cream: '#efe6d0',
  ivory: '#efe8d6',
  black: '#201d1c',
  grey: '#8b8b88',
  gray: '#8b8b88',
  brown: '#6b4a30',
  tan: '#b08a5b',
  beige: '#cdb894',
  red: '#b5332a',
  pink: '#dc98a0',
  orange: '#d9772b',
  yellow: '#e0bd3c',
  gold: '#cf9f35',
  green: '#5c7d3c',
  olive: '#74702f',
  turquoise: '#3f9c9a',
  blue: '#3c6493',
  navy: '#232f4e',
  purple: '#6d4480',
  violet: '#6d4480',
};
/** CIEDE2000: beyond this nobody means that wool by that word. */
const SAME_WORD_DELTA_E = 24;

/** How fibre is prepared, as makers call it in different places. */
const PREPARATION_WORDS: Readonly<Record<string, readonly Preparation[]>> = {
  roving: ['carded', 'tops'],
  sliver: ['carded', 'tops'],
  carded: ['carded', 'batt', 'core-batt'],
  tops: ['tops'],
  top: ['tops'],
  combed: ['tops'],
  batt: ['batt', 'core-batt'],
  batting: ['batt', 'core-batt'],
  locks: ['locks'],
  curls: ['locks'],
  'pre-felt': ['pre-felt'],
  prefelt: ['pre-felt'],
  yarn: ['yarn'],
};
/** What any wool is called by. */
const WOOL_NOUN = 'wool|fibre|fiber|fleece';
const COLOURED = new RegExp(
  `\\b(${Object.keys(COLOUR_WORDS).join('|')})\\s+(?:\\p{L}+\\s+)?(${WOOL_NOUN}|${Object.keys(PREPARATION_WORDS).join('|')})\\b`,
  'giu',
);
const PREPARED = new RegExp(
  `\\b(?:${Object.keys(PREPARATION_WORDS).join('|')})\\b(?=\\s+(?:${WOOL_NOUN})\\b)|\\b(?:of|some|little) (?:\\p{L}+ )?(?<bare>roving|tops|batting|locks|pre-felt|prefelt|yarn)\\b`,
  'giu',
);

/** Wool that words speak of and no part or join has, by colour or by how it is prepared; other names count. */
export function woolMissing({ pattern, wool }: ReviewContext): (text: string) => readonly string[] {
  const fibres = fibresOf(pattern, wool);
  // Of wool that nobody has chosen yet nobody can tell.
  if (fibres === null || fibres.length === 0) return () => [];
  const isCalled = ({ name, otherNames }: Fibre, word: string) =>
    new RegExp(`\\b${word}\\b`, 'i').test([name, ...otherNames].join(' ; '));
  const isOfColour = (fibre: Fibre, word: string) =>
    isCalled(fibre, word) || colourDifference(COLOUR_WORDS[word] ?? '', fibre.colour) <= SAME_WORD_DELTA_E;
  const isPrepared = (fibre: Fibre, word: string) =>
    isCalled(fibre, word) || PREPARATION_WORDS[word]?.includes(fibre.preparation) === true;
  /** Brown batt is of one fibre: brown, and a batt. */
  const hasColour = remembered((words: string) => {
    const [colour = '', noun = ''] = words.split(' ');
    const isAny = PREPARATION_WORDS[noun] === undefined;
    return fibres.some((fibre) => isOfColour(fibre, colour) && (isAny || isPrepared(fibre, noun)));
  });
  const hasPreparation = remembered((word: string) => fibres.some((fibre) => isPrepared(fibre, word)));
  return (text) => {
    const { colours, preparations } = woolIn(text);
    const missing = [
      ...colours.filter(({ word }) => !hasColour(word)).map(({ words }) => words),
      ...preparations.filter((word) => !hasPreparation(word.toLowerCase())),
    ];
    return [...new Set(missing)];
  };
}

/** Wool by its colour, and by how it is prepared, as a text speaks of it. */
const woolIn = remembered((text: string) => ({
  colours: [...text.matchAll(COLOURED)].map(([words, colour = '', noun = '']) => ({
    words,
    word: `${colour} ${noun}`.toLowerCase(),
  })),
  preparations: [...text.matchAll(PREPARED)].map(({ 0: whole, groups }) => groups?.['bare'] ?? whole),
}));

/** Every fibre of a pattern, with colours and swaps that may be chosen; null: some of it is not known. */
function fibresOf(pattern: Pattern, wool: Wool): Fibre[] | null {
  const isOpen =
    pattern.parts.some(({ uses }) => uses.some((use) => isWool(use) && use.fibreId === null)) ||
    pattern.joins.some(({ cover }) => cover?.fibreId === null);
  const ids = fibresUsed(pattern);
  const fibres = ids.flatMap((id) => wool.fibres.get(id) ?? []);
  return isOpen || fibres.length < ids.length ? null : fibres;
}
