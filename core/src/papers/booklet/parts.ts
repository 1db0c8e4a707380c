import type { Need } from '../../needles/index.ts';
import { beforeYouCut, cutsToMake, type Piece, type Sittings, sittingsOf } from '../../reading/index.ts';
import {
  amountWords,
  cutLines,
  cutNeedLines,
  findingLines,
  insertLines,
  grantsWords,
  LEVEL_WORDS,
  type NeedLine,
  needName,
  pieceLines,
  showMinutes,
  showPace,
  timesWords,
  woolLines,
} from '../../words/index.ts';
import { packedWoolLines } from '../packedForReader.ts';
import { blendedWords } from './bookletSources.ts';
import { firstWords } from './companionsPart.ts';
import { swatchOf, unbroken } from './looks.ts';
import { type Block, type BookletPart, plain, quiet, say, strong, type Words } from './model.ts';
import { cell, part } from './part.ts';
import type { BookletSource } from './source.ts';
import { troublesOf } from './troubles.ts';

export const stepAnchor = (number: number): string => `step-${number}`;
const pieceAnchor = (number: number): string => `piece-${number}`;

const toStep = (number: number): Words => [
  { text: 'begins in ' },
  { text: `step ${number}`, to: stepAnchor(number) },
];
/** Level, time, what one should know; what is other in this make. */
export function beforePart({ build, reading, totals, notes, surroundings }: BookletSource): BookletPart {
  const waiting = totals.waiting.known > 0 ? `, and ${showMinutes(totals.waiting.known)} of waiting` : '';
  return part('before', 'Before you begin', [
    say(strong('How practised: '), LEVEL_WORDS[reading.level]),
    say(strong('Time: '), `${showPace(build, totals.minutes)}${waiting}`),
    ...(build.prerequisites === '' ? [] : [say(strong('What you should know: '), build.prerequisites)]),
    ...(surroundings.before.length === 0 ? [] : [say(strong('Make first: '), ...firstWords(surroundings))]),
    ...notes.map((note) => say(strong(note))),
    ...(build.sidesSeen === null
      ? []
      : [quiet(`Left and right are ${build.sidesSeen === 'figure' ? 'the figure’s own' : 'as you look at it'}.`)]),
  ]);
} // prettier-ignore

/** Wool with its swatch and where it goes, bought things, what is cut, and tools; in which sitting each is wanted, where there are several. */
export function needsPart(source: BookletSource, { isForShop } = { isForShop: false }): BookletPart {
  const { build, estimate, wool, reading, packed, terms } = source;
  const bag = terms.reader === 'kit' ? packed : null;
  // What each piece takes is in the pattern, and when it is wanted is for who makes it.
  const sittings = isForShop ? null : sittingsOf(build, reading);
  const lines = [
    ...(bag ? packedWoolLines(bag, wool) : woolWithRecipe(source, isForShop)),
    ...findingLines(build, wool).map((line) => ({ ...line, sittings: sittings?.ofFinding(line.key) })),
    ...insertLines(build, wool).map((line) => ({ ...line, sittings: sittings?.ofInsert(line.key) })),
    ...cutNeedLines(build, estimate, wool).map((line) => ({ ...line, sittings: sittings?.ofCut(line.key) })),
  ].map((line) => (line.fibreId === null ? line : { ...line, sittings: sittings?.ofFibre(line.fibreId) }));
  return part('needs', terms.reader === 'kit' ? 'In the bag' : 'You need', [
    needTable(lines, source, sittings !== null),
    ...(bag === null
      ? [quiet(`All the wool together: ${amountWords(estimate.total)}.`)]
      : [
          ...(bag.copies > 1 ? [quiet(`Wool for all ${bag.copies} of them; everything else for one.`)] : []),
          ...(bag.hasLaidOut ? [quiet('What you choose lies out on the table.')] : []),
          ...(bag.hasSpareBag ? [quiet('Short of a colour? There is a bag for all.')] : []),
        ]),
    ...(sittings ? [quiet(sittingNames(sittings))] : []),
    { is: 'heading', text: 'Tools', anchor: null },
    {
      is: 'list',
      isNumbered: false,
      items: reading.tools.map((need) => toolWords(need, sittings)),
    },
  ]);
} // prettier-ignore

/** Whoever has the pattern alone cards a blend from its fibres. */
function woolWithRecipe({ build, estimate, wool, sources, terms }: BookletSource, isForShop: boolean): NeedLine[] {
  const blends = new Map(terms.reader === 'kit' ? [] : sources.blends.map((blend) => [blend.fibreId, blend]));
  return woolLines(estimate, wool, isForShop ? null : build).map((line) => {
    const blend = blends.get(line.fibreId ?? '');
    return blend ? { ...line, about: `${line.about}; ${blendedWords(blend)}` } : line;
  });
} // prettier-ignore

const sittingNames = ({ names }: Sittings): string =>
  `Sittings: ${names.map((name, at) => `${at + 1}${name === '' ? '' : ` ${name}`}`).join(', ')}.`;

/** A tool that every sitting wants needs no number. */
function toolWords(need: Need, sittings: Sittings | null): Words {
  const name = `${needName(need)}${need.count > 1 ? ` ×${need.count}` : ''}`;
  const wanted = sittings?.ofSteps(need.stepIds) ?? [];
  const isSome = sittings !== null && wanted.length > 0 && wanted.length < sittings.names.length;
  return isSome ? [{ text: name }, { text: `, sitting ${wanted.join(', ')}` }] : plain(name);
}

interface NeedRow extends NeedLine {
  readonly sittings?: readonly number[] | undefined;
}

const needTable = (lines: readonly NeedRow[], source: BookletSource, hasSittings: boolean): Block => ({
  is: 'table',
  about: 'What is needed, and how much of it',
  columns: [
    { title: 'What', isNumber: false },
    ...(hasSittings ? [{ title: 'Sitting', isNumber: false }] : []),
    { title: 'How much', isNumber: true },
  ],
  rows: lines.map(({ fibreId, name, about, amount, sittings = [] }) => ({
    hasBox: true,
    cells: [
      { ...cell(name, { swatch: swatchOf(source, fibreId) }), words: named(name, about) },
      ...(hasSittings ? [cell(sittings.length === 0 ? '–' : sittings.join(', '))] : []),
      cell(inOneRow(amount)),
    ],
  })),
});

/** What it is for stands beneath it: beside it would be a column too narrow for a phone. */
const named = (name: string, about: string): Words => [
  strong(unbroken(name)),
  ...(about === '' ? [] : [{ text: '\n' }, { text: unbroken(about) }]),
];

/** A short amount is not broken, however narrow its column. */
const inOneRow = (amount: string): string =>
  amount.length <= MOST_IN_A_ROW ? amount.replaceAll(' ', '\u00A0') : amount;
const MOST_IN_A_ROW = 18;

/** Everything that is cut or torn to a size; null: nothing is. */
export function cutsPart(source: BookletSource): BookletPart | null {
  const { build, estimate, pieces, wool } = source;
  const lines = cutLines(beforeYouCut(pieces, cutsToMake(build, estimate)), build, wool);
  if (lines.length === 0) return null;
  return part('cuts', 'Before you cut', [
    {
      is: 'table',
      about: 'What is cut or torn to a size before anything is felted',
      columns: ['What', 'From', 'How many', 'Size of each', 'For step'].map((title, at) => ({
        title,
        isNumber: at === 2 || at === 4,
      })),
      rows: lines.map(({ what, from, fibreId, size, count, atStep }) => ({
        hasBox: true,
        cells: [
          cell(what),
          cell(from, { swatch: swatchOf(source, fibreId) }),
          cell(count),
          cell(size),
          atStep === null
            ? cell('–')
            : { words: [{ text: String(atStep), to: stepAnchor(atStep) }], swatch: null },
        ],
      })),
    },
    quiet(
      'Sizes of cuts have every bend, knot and turn in them. Check the first piece on the work before the others are cut.',
    ),
  ]);
}

/** Each piece in a block of its own. */
export const piecesPart = (source: BookletSource): BookletPart =>
  part('pieces', 'Pieces', [
    quiet('Grams are for one piece. “Exactly”: hold it against a ruler; “about”: a guide.'),
    ...source.pieces.map((piece) => pieceBlock(piece, source)),
  ]);

function pieceBlock(piece: Piece, source: BookletSource): Block {
  const { part: of, number, beginsAt } = piece;
  return {
    is: 'piece',
    anchor: pieceAnchor(number),
    number,
    title: `${of.name || 'Unnamed'}${timesWords(of.count)}`,
    aside: beginsAt === null ? [] : toStep(beginsAt),
    blocks: [
      {
        is: 'facts',
        rows: pieceLines(piece, source.build, source.wool).map((line) =>
          line.kind === 'wool'
            ? {
                label: line.label,
                swatch: swatchOf(source, line.fibreId),
                words: [
                  { text: `${line.fibre} ` },
                  strong(unbroken(line.grams)),
                  ...plain(unbroken([line.how, line.words].filter((text) => text !== '').map((text) => `; ${text}`).join(''))),
                ],
              }
            : { label: line.label, swatch: null, words: plain(unbroken(line.text)) },
        ),
      },
      ...(of.hides.trim() === '' ? [] : [quiet(`Left off, this shows: ${of.hides}`)]),
    ],
  };
} // prettier-ignore

/** What may go wrong with a figure like this. */
export const troublePart = ({ build }: BookletSource): BookletPart =>
  part(
    'trouble',
    'When it goes wrong',
    troublesOf(build).flatMap(({ name, cause, remedy }): Block[] => [
      { is: 'heading', text: name, anchor: null },
      say(cause, ' ', strong('What helps: '), remedy),
    ]),
  );

/** What whoever has it may do, and from whom it comes. */
export function rightsPart({ build, reading }: BookletSource): BookletPart | null {
  const grants = build.grants.length > 0 ? [say(grantsWords(build.grants))] : [];
  const credits = reading.credits.map((credit) => say(credit));
  if (grants.length + credits.length === 0) return null;
  return part('rights', 'What you may do with it, and from whom it is', [...grants, ...credits]);
}
