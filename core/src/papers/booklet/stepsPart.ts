import { bagOfPattern, type ReadingSession, type ReadingStep, stepPicture } from '../../reading/index.ts';
import {
  actWords,
  CAUTION_NAMES,
  CAUTION_WORDS,
  fibreNamesOf,
  keepsWords,
  keptWords,
  ownerWords,
  ROLE_WORDS,
  showLikely,
  STAGE_WORDS,
  stepMarks,
  stillAfter,
} from '../../words/index.ts';
import { swatchOf, unbroken, unbrokenWords } from './looks.ts';
import { markdownBlocks } from './markdownBlocks.ts';
import { type Block, type BookletPart, type BookletPicture, quiet, say, strong } from './model.ts';
import { part } from './part.ts';
import { stepAnchor } from './parts.ts';
import type { BookletSource } from './source.ts';
import { techniqueOfStep } from './techniquesPart.ts';

/** Steps by sitting and stage; one sitting is a part of its own under them. */
export function stepsParts(source: BookletSource): BookletPart[] {
  const { reading } = source;
  const isOne = reading.sessions.length === 1 && reading.sessions[0]?.session === null;
  if (isOne) return reading.sessions.map((sitting) => part('steps', 'Steps', sittingBlocks(sitting, true, source)));
  return [
    part('steps', 'Steps', []),
    ...reading.sessions.map((sitting, at) =>
      part(
        `sitting-${at + 1}`,
        sitting.session?.name ?? 'First of all',
        sittingBlocks(sitting, at === reading.sessions.length - 1, source),
        'steps',
      ),
    ),
  ];
} // prettier-ignore

function sittingBlocks(sitting: ReadingSession, isLast: boolean, source: BookletSource): Block[] {
  const { session, stages } = sitting;
  const { build, estimate, wool, packed, terms } = source;
  const bag = terms.reader === 'kit' ? packed : null;
  const still = stillAfter(sitting, isLast, {
    build,
    estimate,
    wool,
    reader: terms.reader,
    inBag: bag?.wool ?? bagOfPattern(estimate),
    copies: bag?.copies ?? 1,
    spares: bag?.spares ?? null,
  });
  return [
    ...(session && session.startState !== '' ? [say(`On the table: ${session.startState}`)] : []),
    ...stages.flatMap(({ stage, steps }): Block[] => [
      { is: 'heading', text: STAGE_WORDS[stage], anchor: null },
      ...steps.map((step) => stepBlock(step, source)),
    ]),
    ...(session && session.safeStop !== '' ? [say(strong('Safe stop. '), session.safeStop)] : []),
    ...(session && session.homework !== '' ? [say(strong('Until next time: '), session.homework)] : []),
    ...(still === '' ? [] : [say(unbroken(still))]),
  ];
}

function stepBlock(readingStep: ReadingStep, source: BookletSource): Block {
  const { step, number, cautions } = readingStep;
  return {
    is: 'step',
    anchor: stepAnchor(number),
    number,
    marks: stepMarks(readingStep).map(unbroken),
    cautions: cautions.map((caution) => ({ name: CAUTION_NAMES[caution], words: CAUTION_WORDS[caution] })),
    blocks: saidOrNot(stepBlocks(readingStep, source)),
    pictures: source.terms.hasPictures ? picturesOf(readingStep, step.pictures, source) : [],
  };
}

/** Its number stands beside something. */
const saidOrNot = (blocks: Block[]): Block[] =>
  blocks.length > 0 ? blocks : [quiet('Nothing is said of it yet.')];

function stepBlocks(readingStep: ReadingStep, source: BookletSource): Block[] {
  const { step, extra, ticks, recalls, returns } = readingStep;
  const act = actWords(readingStep, source.build);
  const technique = source.terms.parts.includes('techniques') ? techniqueOfStep(step, source.build) : null;
  const words = markdownBlocks([step.text, extra].filter((text) => text !== '').join(' '));
  return [
    ...words.map(unbrokenBlock),
    ...woolBlocks(readingStep, source),
    ...(act === '' ? [] : [say(act)]),
    ...(technique ? [{ is: 'words' as const, words: [{ text: 'Technique: ' }, technique], tone: 'quiet' as const }] : []),
    ...(recalls ? [quiet(`As you decided in step ${recalls.number}: ${recalls.question}.`)] : []),
    ...(ticks.length > 1
      ? [{ is: 'boxes' as const, boxes: ticks.map((note, at) => ({ words: note || String(at + 1) })) }]
      : []),
    ...(step.cue === '' ? [] : [say(strong('Stop or change when '), `${step.cue}.`)]),
    ...step.checks.map(({ id, look, how, pass, remedy }): Block => {
      const back = returns.get(id);
      return say(
        strong('☐ Check '),
        `${look}${how === '' ? '' : `, ${how}`}: ${pass}. `,
        strong('If not, '),
        remedy,
        ...(back === undefined ? ['.'] : [' (back to ', { text: `step ${back}`, to: stepAnchor(back) }, ').']),
      );
    }),
  ]; // prettier-ignore
}

const unbrokenBlock = (block: Block): Block =>
  block.is === 'words'
    ? { ...block, words: unbrokenWords(block.words) }
    : block.is === 'list'
      ? { ...block, items: block.items.map(unbrokenWords) }
      : block;

/** The wool a step takes up, from which bag, and what of it is kept back. */
function woolBlocks({ wool: of }: ReadingStep, source: BookletSource): Block[] {
  if (!of) return [];
  const { build, wool, packed, terms } = source;
  const fibreName = fibreNamesOf(wool);
  const bagOf = terms.reader === 'kit' ? packed?.bagOf : undefined;
  const rows = of.takes.map((use) => {
    const bag = bagOf?.get(use.useId);
    const grams = use.kind === 'known' ? showLikely(use.all.likelyG) : 'amount unknown';
    return {
      label: fibreName(use.fibreId),
      swatch: swatchOf(source, use.fibreId),
      words: [
        strong(unbroken(grams)),
        { text: `, ${ownerWords(use.owner, build)} ${ROLE_WORDS[use.role]}${bag === undefined ? '' : `, from “${bag}”`}` },
      ],
    };
  });
  return [
    ...(rows.length > 0 ? [{ is: 'facts' as const, rows }] : []),
    ...[...keptWords(of, fibreName), ...keepsWords(of, fibreName)].map((words) => quiet(unbroken(words))),
  ];
} // prettier-ignore

/** The author’s; where there is none and she wants it so, the figure as far as it is. */
function picturesOf(
  { step, number }: ReadingStep,
  authors: readonly { readonly pictureId: string; readonly caption: string }[],
  { build, wool }: BookletSource,
): BookletPicture[] {
  const drawn = build.drawnStepIds.includes(step.id) && stepPicture(build, step.id, wool) !== null;
  return [
    ...(drawn
      ? [{ key: `as-far-as-${number}`, alt: `The figure as far as step ${number}`, caption: '' }]
      : []),
    ...authors.map(({ pictureId, caption }) => ({
      key: pictureId,
      alt: build.pictures.find(({ id }) => id === pictureId)?.alt || caption || `Step ${number}`,
      caption,
    })),
  ];
}
