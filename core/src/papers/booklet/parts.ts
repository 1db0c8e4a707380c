import { needleCard } from '../../needles/index.ts';
import { beforeYouCut, cutsToMake, type Piece } from '../../reading/index.ts';
import {
  allTerms,
  amountWords,
  cueWords,
  cutLines,
  cutNeedLines,
  DEPTH_WORDS,
  findingLines,
  grantsWords,
  LEVEL_WORDS,
  type NeedLine,
  needName,
  pieceLines,
  showMinutes,
  showPace,
  STAGE_WORDS,
  STROKE_WORDS,
  timesWords,
  wantedName,
  woolLines,
} from '../../words/index.ts';
import { packedWoolLines } from '../packedForReader.ts';
import { swatchOf, unbroken } from './looks.ts';
import {
  type Block,
  type BookletCell,
  type BookletPart,
  plain,
  quiet,
  say,
  strong,
  textOfBlock,
  type Words,
} from './model.ts';
import type { BookletSource } from './source.ts';
import { troublesOf } from './troubles.ts';

export const stepAnchor = (number: number): string => `step-${number}`;
const pieceAnchor = (number: number): string => `piece-${number}`;

const toStep = (number: number): Words => [
  { text: 'begins in ' },
  { text: `step ${number}`, to: stepAnchor(number) },
];
const cell = (text: string, more: Partial<BookletCell> = {}): BookletCell => ({
  words: plain(unbroken(text)),
  swatch: null,
  ...more,
});

/** Level, time, what one should know; what is other in this make. */
export function beforePart({ build, reading, totals, notes }: BookletSource): BookletPart {
  const waiting = totals.waiting.known > 0 ? `, and ${showMinutes(totals.waiting.known)} of waiting` : '';
  return part('before', 'Before you begin', [
    say(strong('How practised: '), LEVEL_WORDS[reading.level]),
    say(strong('Time: '), `${showPace(build, totals.minutes)}${waiting}`),
    ...(build.prerequisites === '' ? [] : [say(strong('What you should know: '), build.prerequisites)]),
    ...notes.map((note) => say(strong(note))),
    ...(build.sidesSeen === null
      ? []
      : [quiet(`Left and right are ${build.sidesSeen === 'figure' ? 'the figure’s own' : 'as you look at it'}.`)]),
  ]);
} // prettier-ignore

/** Wool with its swatch, bought things, what is cut, and tools. */
export function needsPart(source: BookletSource): BookletPart {
  const { build, estimate, wool, reading, packed, terms } = source;
  const bag = terms.reader === 'kit' ? packed : null;
  const lines = [
    ...(bag ? packedWoolLines(bag, wool) : woolLines(estimate, wool)),
    ...findingLines(build, wool),
    ...cutNeedLines(build, estimate, wool),
  ];
  return part('needs', terms.reader === 'kit' ? 'In the bag' : 'You need', [
    needTable(lines, source),
    ...(bag === null
      ? [quiet(`All the wool together: ${amountWords(estimate.total)}.`)]
      : [
          ...(bag.copies > 1 ? [quiet(`Wool for all ${bag.copies} of them; everything else for one.`)] : []),
          ...(bag.hasLaidOut ? [quiet('What you choose lies out on the table.')] : []),
          ...(bag.hasSpareBag ? [quiet('Short of a colour? There is a bag for all.')] : []),
        ]),
    { is: 'heading', text: 'Tools', anchor: null },
    {
      is: 'list',
      isNumbered: false,
      items: reading.tools.map((need) => plain(`${needName(need)}${need.count > 1 ? ` ×${need.count}` : ''}`)),
    },
  ]);
} // prettier-ignore

const needTable = (lines: readonly NeedLine[], source: BookletSource): Block => ({
  is: 'table',
  about: 'What is needed, and how much of it',
  columns: [
    { title: 'What', isNumber: false },
    { title: '', isNumber: false },
    { title: 'How much', isNumber: true },
  ],
  rows: lines.map(({ fibreId, name, about, amount }) => ({
    hasBox: true,
    cells: [cell(name, { swatch: swatchOf(source, fibreId) }), cell(about), cell(amount)],
  })),
});

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

/** The card of the needles, stage by stage; null: no step takes one. */
export function needlesPart({ ladder }: BookletSource): BookletPart | null {
  const lines = needleCard(ladder);
  if (lines.length === 0) return null;
  return part('needles', 'Needles', [
    {
      is: 'table',
      about: 'Which needle at which stage, and when to change',
      columns: ['Stage', 'Needle', 'How', 'How deep', 'Change or stop'].map((title) => ({
        title,
        isNumber: false,
      })),
      rows: lines.map(({ stage, wanted, holders, strokes, depths, change, steps }) => {
        const many = holders.filter((size) => size > 1);
        const cue = steps.findLast((step) => step.cue.trim() !== '')?.cue.trim();
        return {
          hasBox: false,
          cells: [
            cell(STAGE_WORDS[stage]),
            cell(`${wantedName(wanted)}${many.length > 0 ? `, ${many.join(' and ')} in a holder` : ''}`),
            cell(strokes.map((stroke) => STROKE_WORDS[stroke]).join(', ') || 'not said'),
            cell(depths.map((depth) => DEPTH_WORDS[depth]).join(', ') || 'not said'),
            cell(
              change
                ? `${cueWords(change)}: then the ${wantedName(change.to)}`
                : cue
                  ? `stop when ${cue}`
                  : '',
            ),
          ],
        };
      }),
    },
    quiet(
      'Change by the feel of the wool, not by the clock. Out by the same line as in: a bent needle snaps.',
    ),
  ]);
}

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

const HANDS = [
  'Stop for five minutes in every thirty: put the needle down, open and close the hands, roll the shoulders.',
  'Sit so that the work is in good light at the height of the elbows. Look at it whenever the needle moves.',
  'Pain in a wrist or a thumb is no sign of firm felt. Change what you do, or stop; where it stays, ask a doctor.',
  'A needle is never left in the work, nor on a chair. Count them in when you stop; a tip left in wool is found with a magnet.',
] as const;

/** Hands and rests. */
export const handsPart = (): BookletPart =>
  part('hands', 'Hands and rests', [
    { is: 'list', isNumbered: false, items: HANDS.map((text) => plain(text)) },
  ]);

const CARE = [
  'Dust it with a soft brush, or with a hair drier set to cold. Do not wash it: it felts on, and shrinks.',
  'Keep it out of the sun, which bleaches wool, and from moths: look at it twice a year.',
  'What has come loose is felted in again with a fine needle, light.',
] as const;

/** How it is kept, and for whom it is not. */
export const carePart = ({ build }: BookletSource): BookletPart =>
  part('care', 'Care and cautions', [
    { is: 'list', isNumbered: false, items: CARE.map((text) => plain(text)) },
    say(
      'It is no toy for small children: wool comes off, and so do ',
      build.findings.length > 0 ? 'eyes and other small parts' : 'small parts',
      '. What is sold falls under local rules for toys and for labels of fibre; where in doubt, ask someone qualified.',
    ),
  ]);

/** Words of the trade that stand in the rest of it; null: none does. */
export function glossaryPart(parts: readonly BookletPart[]): BookletPart | null {
  const text = parts.flatMap(({ blocks }) => blocks.flatMap(textOfBlock)).join(' ').toLowerCase();
  const used = [...REGIONAL, ...allTerms().map(([, { name, words }]) => ({ name, words }))].filter(({ name }) =>
    name.toLowerCase().split(/[,/]| and /).some((word) => stands(word.trim(), text)),
  );
  if (used.length === 0) return null;
  const rows = used
    .toSorted((a, b) => (a.name.toLowerCase() < b.name.toLowerCase() ? -1 : 1))
    .map(({ name, words }) => ({ label: name, swatch: null, words: plain(words) }));
  return part('glossary', 'Words', [{ is: 'facts', rows }]);
} // prettier-ignore

const stands = (word: string, text: string): boolean =>
  word.length > 2 &&
  new RegExp(`(?<![\\p{L}])${word.replaceAll(/[^\p{L}\p{N} -]/gu, '.')}(?![\\p{L}])`, 'u').test(text);

/** What the same wool is called elsewhere. */
const REGIONAL = [
  { name: 'Tops', words: 'Combed wool in a rope, its fibres side by side; in some places called roving, which elsewhere is carded.' },
  { name: 'Batt', words: 'Carded wool in a sheet, its fibres every way; a narrow one is a sliver, or carded roving.' },
  { name: 'Locks', words: 'Washed wool as it grew, in curls; also called curls.' },
  { name: 'Pre-felt', words: 'Wool felted so far that it can be cut; also called half-felt.' },
] as const; // prettier-ignore

/** What whoever has it may do, and from whom it comes. */
export function rightsPart({ build, reading }: BookletSource): BookletPart | null {
  const grants = build.grants.length > 0 ? [say(grantsWords(build.grants))] : [];
  const credits = reading.credits.map((credit) => say(credit));
  if (grants.length + credits.length === 0) return null;
  return part('rights', 'What you may do with it, and from whom it is', [...grants, ...credits]);
}

export const part = (
  anchor: string,
  title: string,
  blocks: readonly Block[],
  within: string | null = null,
): BookletPart => ({ anchor, title, within, blocks });
