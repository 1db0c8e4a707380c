import { showTypedLength } from '../base/index.ts';
import type { PatternEstimate, Wool } from '../engine/index.ts';
import { type Check, countRange, type Pattern, type Step } from '../pattern/index.ts';
import {
  cutsToMake,
  type Piece,
  piecesToMake,
  type Reader,
  readingOf,
  type ReadingStep,
  type StepWool,
  type ToCut,
} from '../reading/index.ts';
import {
  CAUTION_NAMES,
  CAUTION_WORDS,
  CUT_WORDS,
  DEPTH_WORDS,
  fibreNamesOf,
  FINISHED,
  finishedWords,
  grantsWords,
  keepsWords,
  keptWords,
  LEVEL_WORDS,
  minutesWords,
  needName,
  ownerWords,
  pieceLines,
  ROLE_WORDS,
  showLikely,
  STAGE_WORDS,
  STROKE_WORDS,
  timesWords,
  wantedName,
  type WoolLine,
} from '../words/index.ts';
import { backWords, escaped, MARKDOWN } from './markdownMarks.ts';

/** A build as Markdown, as its reader goes through it. */
export function patternMarkdown(
  build: Pattern,
  estimate: PatternEstimate,
  wool: Wool,
  reader: Reader,
): string {
  const reading = readingOf(build, estimate, wool, reader);
  const lines = [
    `# ${escaped(build.title)}`,
    '',
    `Level: ${LEVEL_WORDS[reading.level]}.`,
    ...reading.credits.map((credit) => `\n${escaped(credit)}`),
    ...(build.prerequisites.trim() === '' ? [] : ['', `${MARKDOWN.before} ${escaped(build.prerequisites)}`]),
    ...(build.sidesSeen === null
      ? []
      : ['', `Left and right are the ${build.sidesSeen === 'figure' ? 'figure’s own' : 'viewer’s'}.`]),
    '',
    `## ${MARKDOWN.materials}`,
    '',
    ...estimate.fibres.map(({ fibreId, total }) => {
      const amount =
        total.unknownCount > 0 ? `at least ${total.likelyG.toFixed(1)} g` : `${total.likelyG.toFixed(1)} g`;
      return `- ${escaped(fibreNamesOf(wool)(fibreId))}: ${amount}`;
    }),
    ...build.findings.map(
      ({ findingId, count }) =>
        `- ${escaped(wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet')}: ${countWords(count)}`,
    ),
    '',
    `## ${MARKDOWN.tools}`,
    '',
    ...reading.tools.map(
      (need) =>
        `- ${escaped(needName(need))}${need.count > 1 ? ` ×${need.count}` : ''}, one set a ${need.per}`,
    ),
    '',
    ...cutLines(cutsToMake(build, estimate), wool),
    ...pieceBlocks(piecesToMake(build, build, estimate, wool), build, wool),
    ...reading.sessions.flatMap(({ session, stages }) => [
      ...(session
        ? [`## ${escaped(session.name)}`, '', ...sessionLines(session.startState, 'Begins with'), '']
        : []),
      ...stages.flatMap(({ stage, steps }) => [
        `### ${STAGE_WORDS[stage]}`,
        '',
        ...steps.flatMap((step) => stepLines(step, build, wool)),
        '',
      ]),
      ...(session
        ? [...sessionLines(session.safeStop, 'Safe stop'), ...sessionLines(session.homework, 'Homework'), '']
        : []),
    ]),
    ...(build.grants.length === 0 ? [] : [grantsWords(build.grants), '']),
  ];
  return `${lines
    .join('\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim()}\n`;
}

const sessionLines = (text: string, label: string): string[] =>
  text.trim() === '' ? [] : [`*${label}:* ${escaped(text)}`];

const countWords = (count: Parameters<typeof countRange>[0]): string => {
  const range = countRange(count);
  if (!range) return 'how many is not said';
  return range.low === range.high ? String(range.low) : `${range.low}–${range.high}`;
};

function stepLines(
  { step, number, extra, needle, cautions, ticks, recalls, returns, wool: taken }: ReadingStep,
  build: Pattern,
  wool: Wool,
): string[] {
  const marks = [
    ...(needle === null ? [] : [`${wantedName(needle)} needle`]),
    ...(step.stroke === null ? [] : [STROKE_WORDS[step.stroke]]),
    ...(step.depth === null ? [] : [DEPTH_WORDS[step.depth]]),
    ...(step.minutes === null ? [] : [minutesWords(step.minutes)]),
    ...(step.waiting === null ? [] : [`then wait ${minutesWords(step.waiting)}`]),
  ];
  const indent = ' '.repeat(`${number}. `.length);
  const text = [step.text, extra].filter((candidate) => candidate.trim() !== '').join(' ');
  return [
    ...cautions.map((caution) => `> **${CAUTION_NAMES[caution]}.** ${CAUTION_WORDS[caution]}`),
    ...(cautions.length > 0 ? [''] : []),
    `${number}. ${text.replaceAll('\n', `\n${indent}`)}`,
    ...(marks.length > 0 ? [`${indent}*${marks.join(' · ')}*`] : []),
    ...woolLines(taken, build, wool).map((line) => `${indent}${MARKDOWN.wool} ${escaped(line)}`),
    ...decisionLines(step).map((line) => indent + line),
    ...(recalls ? [`${indent}${MARKDOWN.recall} ${recalls.number}, ${escaped(recalls.question)}`] : []),
    ...ticks.map((note) => `${indent}- [ ] ${escaped(note)}`),
    ...(step.cue.trim() === '' ? [] : [`${indent}${MARKDOWN.cue} ${escaped(step.cue)}`]),
    ...step.checks.map((check) => indent + checkLine(check, returns.get(check.id))),
    '',
  ];
}

function checkLine({ look, how, pass, remedy }: Check, back: number | undefined): string {
  const sentences = [
    [MARKDOWN.check, look],
    [MARKDOWN.how, how],
    [MARKDOWN.pass, pass],
    [MARKDOWN.remedy, remedy],
  ].filter(([, words]) => words?.trim() !== '');
  const line = sentences
    .map(([mark, words = '']) => `${mark} ${escaped(words.replaceAll('\n', ' '))}`)
    .join(' ');
  return back === undefined ? line : `${line} ${backWords(back)}`;
}

const decisionLines = ({ act }: Step): string[] =>
  act.kind === 'decide'
    ? [
        [
          MARKDOWN.decide,
          escaped(act.question),
          ...act.answers
            .filter((answer) => answer.trim() !== '')
            .map((answer) => `${MARKDOWN.answer} ${escaped(answer)}`),
        ].join(' '),
      ]
    : [];

/** What a step takes up of wool, and what of it is kept back. */
function woolLines(taken: StepWool | null, build: Pattern, wool: Wool): string[] {
  if (!taken) return [];
  const fibreName = fibreNamesOf(wool);
  return [
    ...taken.takes.map((use) => {
      const amount = use.kind === 'known' ? showLikely(use.all.likelyG) : 'amount unknown';
      return `${fibreName(use.fibreId)} ${amount}, ${ownerWords(use.owner, build)} ${ROLE_WORDS[use.role]}`;
    }),
    ...keptWords(taken, fibreName),
    ...keepsWords(taken, fibreName),
  ];
}

/** Each cut with its typed or computed size: `- Leg wire ×2: 270 mm, from Wire 1.2 mm`. */
function cutLines(cuts: readonly ToCut[], { findings }: Wool): string[] {
  if (cuts.length === 0) return [];
  const lines = cuts.map(({ cut, estimate }) => {
    const size = estimate.cut ? estimate.sizes.map(showTypedLength).join(' × ') : 'size unknown';
    const from = findings.get(cut.findingId ?? '')?.name;
    return `- ${escaped(cut.name || CUT_WORDS[cut.kind])}${timesWords(cut.count)}: ${size}${from === undefined ? '' : `, from ${escaped(from)}`}`;
  });
  return [`## ${MARKDOWN.cuts}`, '', ...lines, ''];
}

/** Each piece with its finished sizes on a line that is read back, everything else of it below. */
function pieceBlocks(pieces: readonly Piece[], build: Pattern, wool: Wool): string[] {
  if (pieces.length === 0) return [];
  const blocks = pieces.flatMap((piece) => [
    `- **${piece.number} ${escaped(piece.part.name)}**${timesWords(piece.part.count)}: ${finishedWords(piece.sized, piece.part, showTypedLength)}; ${piece.part.firmness}`,
    ...pieceLines(piece, build, wool)
      .filter(({ label }) => label !== FINISHED)
      .map(
        (line) =>
          `  - ${escaped(line.label)}: ${escaped(line.kind === 'work' ? line.text : woolWords(line))}`,
      ),
  ]);
  return [`## ${MARKDOWN.pieces}`, '', ...blocks, ''];
}

const woolWords = ({ fibre, grams, how, words }: WoolLine): string =>
  [`${fibre} ${grams}`, how, words].filter((text) => text !== '').join('; ');
