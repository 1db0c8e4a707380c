import {
  seriesWords,
  CAUTION_NAMES,
  CAUTION_WORDS,
  counted,
  LEVEL_WORDS,
  showCountRange,
  showMinutes,
  showPace,
  wantedName,
} from '../../words/index.ts';
import type { Wool } from '../../engine/index.ts';
import { type Caution, CAUTIONS, countRange } from '../../pattern/index.ts';
import { showLengths } from '../../base/index.ts';
import { needleCounts } from '../../needles/index.ts';
import { carePart } from '../booklet/careParts.ts';
import { figureOf } from '../booklet/looks.ts';
import { type Block, type Booklet, type BookletPart, type PictureSource, plain } from '../booklet/model.ts';
import { part } from '../booklet/part.ts';
import { needsPart, rightsPart } from '../booklet/parts.ts';
import { type BookletRequest, type BookletSource, sourceOfBooklet } from '../booklet/source.ts';

/** What a page of a shop says of a pattern or its kit: facts, nothing about money. The same for text and HTML. */
export function listingOf(request: BookletRequest, wool: Wool): Booklet {
  const source = sourceOfBooklet(request, wool);
  const { build, reading, totals } = source;
  const figure = figureOf(source);
  const parts = [factsPart(source), needsPart(source, { isForShop: true }), cautionsPart(source), carePart(source), rightsPart(source), picturesPart(source)];
  return {
    title: build.title,
    whose: '',
    language: request.translation?.language ?? 'en-GB',
    lines: [`${LEVEL_WORDS[reading.level]} · ${showPace(build, totals.minutes)}`, ...request.what],
    figureKey: figure ? FIGURE : null,
    parts: parts.filter((each): each is BookletPart => each !== null),
    pictures: {
      ...(figure && { [FIGURE]: { from: 'drawing' as const, svg: figure.svg, aspect: figure.aspect } }),
      ...studioPictures(source),
    },
    foot: '',
  };
} // prettier-ignore

const FIGURE = 'figure';

function factsPart({ build, reading, totals, pieces, terms, surroundings }: BookletSource): BookletPart {
  const needles = needleCounts(build);
  const sittings = reading.sessions.filter(({ session }) => session !== null).length;
  const rows = [
    ['Finished', build.finishedHeight ? `${showLengths([build.finishedHeight])} tall` : ''],
    ['For whom', LEVEL_WORDS[reading.level]],
    ['Time', `${showPace(build, totals.minutes)}${totals.waiting.known > 0 ? `, and ${showMinutes(totals.waiting.known)} of waiting` : ''}`],
    ['What you should know', build.prerequisites],
    ['Make first', surroundings.before.map(({ title }) => title).join(', ')],
    ['Made of', piecesWords(pieces)],
    ['Told in', `${counted(build.steps.length, 'step')}${sittings > 1 ? `, ${counted(sittings, 'sitting')}` : ''}`],
    ['Needles', needles.map(({ wanted }) => wantedName(wanted)).join(', ')],
    ['Series', surroundings.series ? seriesWords(surroundings.series) : ''],
    ['Goes with', surroundings.companions.map(({ title }) => title).join(', ')],
    ['You get', terms.reader === 'kit' ? 'the wool and everything that is fixed to it, with the pattern' : 'the pattern alone: wool and needles are your own'],
  ] as const; // prettier-ignore
  return part('facts', 'What it is', [
    {
      is: 'facts',
      rows: rows
        .filter(([, words]) => words.trim() !== '')
        .map(([label, words]) => ({ label, swatch: null, words: plain(words) })),
    },
  ]);
}

/** `11 pieces`, `32–40 pieces`, `at least 4 pieces` where nobody has said how many there are of one. */
function piecesWords(pieces: BookletSource['pieces']): string {
  const ranges = pieces.map(({ part: { count } }) => countRange(count));
  const sum = ranges.reduce((all, range) => ({ low: all.low + (range?.low ?? 0), high: all.high + (range?.high ?? 0) }), { low: 0, high: 0 });
  if (sum.high === 0) return '';
  const words = sum.high === 1 ? '1 piece' : `${showCountRange(sum)} pieces`;
  return ranges.includes(null) ? `at least ${words}` : words;
} // prettier-ignore

/** Every caution of every step, once, in the order of the trade. */
function cautionsPart({ reading }: BookletSource): BookletPart | null {
  const found = new Set<Caution>(
    reading.sessions.flatMap(({ stages }) => stages.flatMap(({ steps }) => steps.flatMap(({ cautions }) => cautions))),
  );
  if (found.size === 0) return null;
  return part('cautions', 'Take care', CAUTIONS.filter((caution) => found.has(caution)).map((caution): Block => ({ is: 'caution', name: CAUTION_NAMES[caution], words: CAUTION_WORDS[caution] })));
} // prettier-ignore

/** The author’s, for who puts them on a page; null: there are none. */
function picturesPart({ build }: BookletSource): BookletPart | null {
  if (build.pictures.length === 0) return null;
  return part('pictures', 'Pictures', [
    {
      is: 'pictures',
      pictures: build.pictures.map(({ id, alt, name }) => ({ key: id, alt: alt || name, caption: alt })),
    },
  ]);
}

const studioPictures = ({ build }: BookletSource): Record<string, PictureSource> =>
  Object.fromEntries(build.pictures.map(({ id }) => [id, { from: 'studio' as const, pictureId: id }]));
