import type { Wool } from '../../engine/index.ts';
import { stepPicture } from '../../reading/index.ts';
import { LEVEL_WORDS, showPace } from '../../words/index.ts';
import { figureOf } from './looks.ts';
import type { Block, Booklet, BookletPart, PictureSource } from './model.ts';
import { bareWords, withWords } from './bookletWords.ts';
import { carePart, handsPart } from './careParts.ts';
import { glossaryPart } from './glossaryPart.ts';
import { guidePart } from './guidePart.ts';
import { needlesPart } from './needlesPart.ts';
import { beforePart, cutsPart, needsPart, piecesPart, rightsPart, troublePart } from './parts.ts';
import { type BookletRequest, type BookletSource, sourceOfBooklet } from './source.ts';
import { stepPictureSvg } from './stepPictureSvg.ts';
import { stepsParts } from './stepsPart.ts';
import { companionsPart } from './companionsPart.ts';
import { sourcesPart } from './sourcesPart.ts';
import { techniquesPart } from './techniquesPart.ts';
import type { BookletPartName } from './terms.ts';

const FOOT =
  'Barbed needles are sharp and break: look at the work, pad beneath it. Not a toy for small children.';

/** A pattern as it leaves the studio, from a build and what is wanted of it: the same for every form it is set in. */
export function bookletOf(request: BookletRequest, wool: Wool): Booklet {
  const written = asWritten(request, wool);
  if (!request.translation) return written;
  const { language, words } = request.translation;
  const others = new Map(
    words.filter(({ text }) => text.trim() !== '').map(({ source, text }) => [source, text]),
  );
  return { ...withWords(written, (stretch) => inOther(others, stretch)), language };
}

/** With the gaps that stood around it. */
function inOther(words: ReadonlyMap<string, string>, stretch: string): string {
  const bare = bareWords(stretch);
  const found = words.get(bare);
  return found === undefined ? stretch : stretch.replaceAll('\u00A0', ' ').replace(bare, () => found);
}

function asWritten(request: BookletRequest, wool: Wool): Booklet {
  const source = sourceOfBooklet(request, wool);
  const { build, reading, totals, terms } = source;
  const figure = figureOf(source);
  const parts = partsOf(source);
  return {
    title: build.title,
    whose: '',
    language: 'en-GB',
    lines: [`${LEVEL_WORDS[reading.level]} · ${showPace(build, totals.minutes)}`, ...request.what],
    figureKey: figure ? FIGURE : null,
    parts,
    pictures: {
      ...(figure && { [FIGURE]: { from: 'drawing' as const, svg: figure.svg, aspect: figure.aspect } }),
      ...(terms.hasPictures ? picturesIn(parts, source) : {}),
    },
    foot: FOOT,
  };
}

const FIGURE = 'figure';

/** What is chosen, in the order it was chosen in; words are gathered from all the rest. */
function partsOf(source: BookletSource): BookletPart[] {
  const wanted = source.terms.parts;
  const made = new Map<BookletPartName, BookletPart[]>(
    wanted.filter((name) => name !== 'glossary').map((name) => [name, onePart(name, source)]),
  );
  const rest = [...made.values()].flat();
  return wanted.flatMap((name) =>
    name === 'glossary' ? listed(glossaryPart(rest)) : (made.get(name) ?? []),
  );
}

const listed = (part: BookletPart | null): BookletPart[] => (part ? [part] : []);

function onePart(name: Exclude<BookletPartName, 'glossary'>, source: BookletSource): BookletPart[] {
  switch (name) {
    case 'before':
      return [beforePart(source)];
    case 'needs':
      return [needsPart(source)];
    case 'cuts':
      return listed(cutsPart(source));
    case 'pieces':
      return [piecesPart(source)];
    case 'guide':
      return listed(guidePart(source));
    case 'techniques':
      return listed(techniquesPart(source));
    case 'sources':
      return listed(sourcesPart(source));
    case 'companions':
      return listed(companionsPart(source));
    case 'needles':
      return listed(needlesPart(source));
    case 'steps':
      return source.reading.sessions.length > 0 ? stepsParts(source) : [];
    case 'trouble':
      return [troublePart(source)];
    case 'hands':
      return [handsPart()];
    case 'care':
      return [carePart(source)];
    case 'rights':
      return listed(rightsPart(source));
  }
}

/** Each picture once, however often it is shown. */
function picturesIn(parts: readonly BookletPart[], source: BookletSource): Record<string, PictureSource> {
  const pictures: Record<string, PictureSource> = {};
  const shown = parts.flatMap(({ blocks }) => blocks.flatMap(keysIn));
  for (const key of shown) pictures[key] ??= pictureOf(key, source);
  return pictures;
}

const keysIn = (block: Block): string[] => {
  if (block.is === 'pictures') return block.pictures.map(({ key }) => key);
  if (block.is === 'step') return [...block.pictures.map(({ key }) => key), ...block.blocks.flatMap(keysIn)];
  return block.is === 'piece' ? block.blocks.flatMap(keysIn) : [];
};

function pictureOf(key: string, { build, wool }: BookletSource): PictureSource {
  const number = Number(/^as-far-as-(\d+)$/.exec(key)?.[1] ?? 0);
  const step = build.steps[number - 1];
  const picture = step ? stepPicture(build, step.id, wool) : null;
  return picture ? { from: 'drawing', ...stepPictureSvg(picture) } : { from: 'studio', pictureId: key };
}
