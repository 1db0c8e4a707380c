import { countRange, type Pattern } from '../pattern/index.ts';
import { readingOf, type Reader, type ReadingStep } from '../reading/index.ts';
import { minutesRange, type Minutes } from '../pattern/index.ts';
import type { PatternEstimate, Wool } from '../wool/index.ts';
import {
  CAUTION_NAMES,
  CAUTION_WORDS,
  DEPTH_WORDS,
  grantsWords,
  needName,
  STROKE_WORDS,
} from './writingWords.ts';
import { wantedName } from './needleWords.ts';
import { LEVEL_WORDS, STAGE_WORDS } from './patternWords.ts';

/** Minutes as text: `20 min`, `15–25 min`, `2 h`, `1 day`. */
export function minutesWords(minutes: Minutes): string {
  const { low, high } = minutesRange(minutes);
  if (low !== high) return `${Math.round(low)}–${Math.round(high)} min`;
  if (low >= 1440 && low % 1440 === 0) return low === 1440 ? '1 day' : `${low / 1440} days`;
  if (low < 120) return `${Math.round(low)} min`;
  const [hours, rest] = [Math.floor(low / 60), Math.round(low % 60)];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** Text that stands for itself in Markdown. */
const plain = (text: string): string => text.replaceAll(/([\\`*_[\]<>#])/g, String.raw`\$1`);

/** A build as Markdown, as its reader goes through it. */
export function patternMarkdown(
  build: Pattern,
  estimate: PatternEstimate,
  wool: Wool,
  reader: Reader,
): string {
  const reading = readingOf(build, estimate, wool, reader);
  const lines = [
    `# ${plain(build.title)}`,
    '',
    `Level: ${LEVEL_WORDS[reading.level]}.`,
    ...reading.credits.map((credit) => `\n${plain(credit)}`),
    ...(build.prerequisites.trim() === '' ? [] : ['', `Before you begin: ${plain(build.prerequisites)}`]),
    ...(build.sidesSeen === null
      ? []
      : ['', `Left and right are the ${build.sidesSeen === 'figure' ? 'figure’s own' : 'viewer’s'}.`]),
    '',
    '## Materials',
    '',
    ...estimate.fibres.map(({ fibreId, total }) => {
      const amount =
        total.unknownCount > 0 ? `at least ${total.likelyG.toFixed(1)} g` : `${total.likelyG.toFixed(1)} g`;
      return `- ${plain(wool.fibres.get(fibreId)?.name ?? fibreId)}: ${amount}`;
    }),
    ...build.findings.map(
      ({ findingId, count }) =>
        `- ${plain(wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet')}: ${countWords(count)}`,
    ),
    '',
    '## Tools',
    '',
    ...reading.tools.map(
      (need) => `- ${plain(needName(need))}${need.count > 1 ? ` ×${need.count}` : ''}, one set a ${need.per}`,
    ),
    '',
    ...reading.sessions.flatMap(({ session, stages }) => [
      ...(session
        ? [`## ${plain(session.name)}`, '', ...sessionLines(session.startState, 'Begins with'), '']
        : []),
      ...stages.flatMap(({ stage, steps }) => [
        `### ${STAGE_WORDS[stage]}`,
        '',
        ...steps.flatMap(stepLines),
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
  text.trim() === '' ? [] : [`*${label}:* ${plain(text)}`];

const countWords = (count: Parameters<typeof countRange>[0]): string => {
  const range = countRange(count);
  if (!range) return 'how many is not said';
  return range.low === range.high ? String(range.low) : `${range.low}–${range.high}`;
};

function stepLines({
  step,
  number,
  extra,
  needle,
  cautions,
  ticks,
  recalls,
  returns,
}: ReadingStep): string[] {
  const marks = [
    ...(needle === null ? [] : [`${wantedName(needle)} needle`]),
    ...(step.stroke === null ? [] : [STROKE_WORDS[step.stroke]]),
    ...(step.depth === null ? [] : [DEPTH_WORDS[step.depth]]),
    ...(step.minutes === null ? [] : [minutesWords(step.minutes)]),
    ...(step.waiting === null ? [] : [`then wait ${minutesWords(step.waiting)}`]),
  ];
  const indent = ' '.repeat(`${number}. `.length);
  const text = [step.text, extra].filter((one) => one.trim() !== '').join(' ');
  return [
    ...cautions.map((caution) => `> **${CAUTION_NAMES[caution]}.** ${CAUTION_WORDS[caution]}`),
    ...(cautions.length > 0 ? [''] : []),
    `${number}. ${text.replaceAll('\n', `\n${indent}`)}`,
    ...(marks.length > 0 ? [`${indent}*${marks.join(' · ')}*`] : []),
    ...(recalls ? [`${indent}You decided in step ${recalls.number}: ${plain(recalls.question)}`] : []),
    ...ticks.map((note) => `${indent}- [ ] ${plain(note)}`),
    ...(step.cue.trim() === '' ? [] : [`${indent}Stop or change: ${plain(step.cue)}`]),
    ...step.checks.map((check) => {
      const back = returns.get(check.id);
      return `${indent}**Check** ${plain(check.look)}: ${plain(check.pass)} If not: ${plain(check.remedy)}${back === undefined ? '' : ` (back to step ${back})`}`;
    }),
    '',
  ];
}
