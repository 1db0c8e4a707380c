import { BLANK_STEP, blankPattern, type Check, type Pattern, type Step } from '../pattern/index.ts';
import { linesOf, MOST_LINES, readSteps } from '../writing/index.ts';
import { BACK, MARKDOWN, unescaped } from './markdownMarks.ts';
import { readCutLine, readPieceLine } from './readMarkdownPieces.ts';

/** Lines of our own Markdown that are worked out anew and belong to no step; the last three as it was written before 0.7. */
const COMPUTED =
  /^\s*(?:>|\*(?:[^*]+ needle|toward|straight|at a slant|along|in one|edges|light|half|right|\d|then wait|Begins with|Safe stop|Homework)|- \[ \]|\*\*Check\*\*|Stop or change:|You decided in step)/;

/** What a step’s own lines say beside its text. */
interface Said {
  readonly checks: readonly Omit<Check, 'id' | 'returnToStepId'>[];
  /** From 1; by the place of the check. */
  readonly backTo: readonly (number | null)[];
  readonly decision: { readonly question: string; readonly answers: string[] } | null;
  readonly cue: string;
  readonly recallsStep: number | null;
}

/** A text as a pattern. */
export interface MarkdownRead {
  readonly pattern: Pattern;
  /** There was more of it than is read. */
  readonly isCut: boolean;
}

/**
 * A Markdown text as a pattern: its first heading is the title, its numbered lines are steps. Of our own, what a step
 * decides and checks comes in too, and the pieces and cuts with their sizes. Amounts, needles and the parts of a step are
 * left for the author to approve (see `recognise`).
 */
export function patternFromMarkdown(text: string, newId: () => string): MarkdownRead {
  const lines = linesOf(text);
  const plain = plainTitleAt(lines);
  const preface = plainPreface(lines, plain);
  const title = lines.map(titleIn).find((found) => found !== null) ?? lines[plain]?.trim();
  const before =
    lines.find((line) => line.startsWith(`${MARKDOWN.before} `))?.slice(MARKDOWN.before.length) ?? '';
  const { body, byStep: statements } = takeOut(
    lines.filter(
      (line, at) => at !== plain && !preface.has(at) && !/^\s*#\s/.test(line) && !COMPUTED.test(line),
    ),
  );
  const { steps, isCut } = readSteps(withoutLists(withoutPreface(body.map(unescaped).join('\n'))));
  const ids = steps.map(() => newId());
  const pattern = {
    ...blankPattern(unescaped(title || 'Brought in').slice(0, 120)),
    prerequisites: unescaped(before.trim() || [...preface].map((at) => lines[at]?.trim()).join(' ')).slice(
      0,
      600,
    ),
    parts: sectionOf(lines, MARKDOWN.pieces).flatMap((line) => readPieceLine(line, newId) ?? []),
    cuts: sectionOf(lines, MARKDOWN.cuts).flatMap((line) => readCutLine(line, newId) ?? []),
    steps: steps.map((step, at): Step => {
      const markdown = {
        ...BLANK_STEP,
        id: ids[at] ?? newId(),
        text: step.text,
        stage: step.stage ?? 'core',
      } as const;
      const more = statements.get(at + 1);
      return more ? withSaid(markdown, more, ids, newId) : markdown;
    }),
  };
  return { pattern, isCut: isCut || lines.length >= MOST_LINES };
}

const LONGEST_TITLE = 80;
/** As long as a pattern keeps it. */
const LONGEST_PREREQUISITES = 600;

/** Of a text without any heading: its first line, where that is short, no sentence and stands alone. -1: there is none. */
function plainTitleAt(lines: readonly string[]): number {
  if (lines.some((line) => /^\s*#/.test(line))) return -1;
  const at = lines.findIndex((line) => line.trim() !== '');
  const first = lines[at]?.trim() ?? '';
  const isAlone = (lines[at + 1] ?? '').trim() === '' || ANY_MARK.test(lines[at + 1] ?? '');
  const isTitle = first.length <= LONGEST_TITLE && !/[.:;!?]$/.test(first) && !ANY_MARK.test(first);
  return isTitle && isAlone && lines.slice(at + 1).some((line) => line.trim() !== '') ? at : -1;
}

/** What stands before the first number of a text without headings: no step, but what its reader should know first. */
function plainPreface(lines: readonly string[], titleAt: number): ReadonlySet<number> {
  const first = lines.findIndex((line) => /^\s*\d{1,3}[.)]\s/.test(line));
  if (lines.some((line) => /^\s*#/.test(line))) return new Set();
  const places = new Set(
    [...lines.keys()].filter((at) => at < first && at !== titleAt && lines[at]?.trim() !== ''),
  );
  // What has no room there stays among the steps: nothing is cut off.
  const letters = [...places].reduce((sum, at) => sum + (lines[at]?.length ?? 0) + 1, 0);
  return letters > LONGEST_PREREQUISITES ? new Set() : places;
}

/** A number or a bullet before a line. */
const ANY_MARK = /^\s*(?:\d{1,3}[.)]|[-*•–])\s/;

/** The words of a heading of the first rank. */
function titleIn(line: string): string | null {
  const trimmed = line.trim();
  return /^#\s/.test(trimmed) ? trimmed.slice(1).trim() : null;
}

const withSaid = (step: Step, statements: Said, ids: readonly string[], newId: () => string): Step => ({
  ...step,
  cue: statements.cue.slice(0, 200),
  recallsStepId: statements.recallsStep === null ? null : (ids[statements.recallsStep - 1] ?? null),
  act: statements.decision ? { kind: 'decide', ...statements.decision } : step.act,
  checks: statements.checks.map((check, at) => ({
    ...check,
    id: newId(),
    returnToStepId: ids[(statements.backTo[at] ?? 0) - 1] ?? null,
  })),
});

const STEP_LINE = /^\d{1,3}[.)]\s/;
const OWN_MARKS = [MARKDOWN.check, MARKDOWN.decide, MARKDOWN.cue, MARKDOWN.recall, MARKDOWN.wool];

/** Lines that our own marks begin, out of the text and sorted under the step they stand below, from 1. */
function takeOut(lines: readonly string[]): { body: string[]; byStep: ReadonlyMap<number, Said> } {
  const body: string[] = [];
  const byStep = new Map<number, Said>();
  let step = 0;
  for (const line of lines) {
    if (STEP_LINE.test(line)) step += 1;
    const trimmed = line.trim();
    if (step > 0 && OWN_MARKS.some((mark) => trimmed.startsWith(mark)))
      byStep.set(step, withLine(byStep.get(step) ?? NOTHING_SAID, trimmed));
    else body.push(line);
  }
  return { body, byStep };
}

const NOTHING_SAID: Said = { checks: [], backTo: [], decision: null, cue: '', recallsStep: null };
/** As many as a step may have. */
const MOST_CHECKS = 6;
const MOST_ANSWERS = 6;

function withLine(statements: Said, line: string): Said {
  const after = (mark: string) => unescaped(line.slice(mark.length).trim());
  if (line.startsWith(MARKDOWN.cue)) return { ...statements, cue: after(MARKDOWN.cue) };
  if (line.startsWith(MARKDOWN.recall))
    return { ...statements, recallsStep: Number.parseInt(after(MARKDOWN.recall), 10) || null };
  if (line.startsWith(MARKDOWN.decide)) {
    const [question = '', ...answers] = after(MARKDOWN.decide).split(MARKDOWN.answer);
    return {
      ...statements,
      decision: {
        question: question.trim().slice(0, 200),
        answers: answers.slice(0, MOST_ANSWERS).map((answer) => answer.trim().slice(0, 80)),
      },
    };
  }
  if (line.startsWith(MARKDOWN.check) && statements.checks.length < MOST_CHECKS) {
    const back = BACK.exec(line)?.[1];
    return {
      ...statements,
      checks: [...statements.checks, readCheck(line.replace(BACK, ''))],
      backTo: [...statements.backTo, back === undefined ? null : Number(back)],
    };
  }
  return statements;
}

const CHECK_MARKS = [
  ['look', MARKDOWN.check, 200],
  ['how', MARKDOWN.how, 200],
  ['pass', MARKDOWN.pass, 200],
  ['remedy', MARKDOWN.remedy, 300],
] as const;

/** Each of its four is what stands between its mark and the next that is there. */
function readCheck(line: string): Said['checks'][number] {
  const places = CHECK_MARKS.map(([, mark]) => line.indexOf(mark));
  const [look = '', how = '', pass = '', remedy = ''] = CHECK_MARKS.map(([, mark, most], at) => {
    const from = places[at] ?? -1;
    if (from < 0) return '';
    const next = Math.min(...places.filter((place) => place > from), line.length);
    return unescaped(line.slice(from + mark.length, next).trim()).slice(0, most);
  });
  return { look, how, pass, remedy };
}

/** The lines under one of our own headings. */
function sectionOf(lines: readonly string[], heading: string): string[] {
  const from = lines.findIndex((line) => line.trim() === `## ${heading}`);
  if (from < 0) return [];
  const rest = lines.slice(from + 1);
  const end = rest.findIndex((line) => /^\s*#{1,3}\s/.test(line));
  return end < 0 ? rest : rest.slice(0, end);
}

/** What stands between the title and the first heading tells of the pattern; it is no step, unless it is numbered. */
function withoutPreface(text: string): string {
  const lines = text.split('\n');
  const first = lines.findIndex((line) => /^\s*#{2,}\s/.test(line));
  return lines.filter((line, at) => at >= first || /^\s*\d+[.)]\s/.test(line)).join('\n');
}

const LISTS = new RegExp(
  `^\\s*#{2,}\\s+(?:materials?|tools?|you need|${MARKDOWN.pieces}|${MARKDOWN.cuts})\\s*$`,
  'i',
);

/** Materials and tools are derived, pieces and cuts read by themselves: their headings and lists go. */
function withoutLists(text: string): string {
  let isIn = false;
  return text
    .split('\n')
    .filter((line) => {
      if (/^\s*#{2,}\s/.test(line)) isIn = LISTS.test(line);
      return !isIn;
    })
    .join('\n');
}
