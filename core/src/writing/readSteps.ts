import { type Stage, STAGES } from '../pattern/index.ts';

/** One step as it stands in a plain text. */
export interface ReadStep {
  readonly text: string;
  /** Of the heading above it, where that names a stage. */
  readonly stage: Stage | null;
  /** The line it began on, from 1. */
  readonly line: number;
}

export interface ReadText {
  readonly steps: readonly ReadStep[];
  /** Lines under a heading such as “Materials” or “You need”. */
  readonly materials: readonly string[];
  /** There was more of it than is read: lines, steps, or words in one of them. */
  readonly isCut: boolean;
}

/** As many steps as a pattern may have. */
export const MOST_STEPS = 500;
export const LONGEST_STEP = 4000;

const MARKER = /^\s*(?:(?:step\s*)?\d{1,3}\s*[.):]|[-*•–]|\(\d{1,3}\))\s+/i;
/** Numbered from the left edge: what is set in below it belongs to it. */
const NUMBERED = /^\d{1,3}[.)]\s+/;
const SET_IN = /^\s{2,}[-*•–]\s+/;
/** Of a trimmed line. */
const HEADING = /^(?:#{1,6}\s+)?([\p{L}][\p{L}\s’'-]{0,40}?)\s*:?$/u;
/** A line that is longer is no heading. */
const LONGEST_HEADING = 80;
const MATERIALS = /^(?:materials?|you(?: will)? need|what you need|tools?|supplies)$/i;

/** What is read of a text at most; a book has no more. */
export const MOST_LINES = 20_000;
/** A line is read so far; no step is longer. */
const LONGEST_LINE = 8000;

/** The lines of a text without what only spaces them out, however they end; a line that nobody typed is cut. */
export const linesOf = (text: string): string[] =>
  text
    .split(/\r\n|\n|\r/, MOST_LINES)
    .map((line) => (line.length > LONGEST_LINE ? line.slice(0, LONGEST_LINE) : line).trimEnd());

/**
 * Plain text as steps: each numbered or bulleted line begins one, lines without a mark and lists set in below a number go on with it; text without any
 * marks is a step for each paragraph. Headings that name a stage sort what is under them.
 */
export function readSteps(text: string): ReadText {
  const lines = linesOf(text);
  const isMarked = lines.some((line) => MARKER.test(line));
  const isNumbered = lines.some((line) => NUMBERED.test(line));
  const steps: { text: string; stage: Stage | null; line: number }[] = [];
  const materials: string[] = [];
  let stage: Stage | null = null;
  let isInMaterials = false;
  let isOpen = false;
  lines.forEach((line, index) => {
    const heading = headingOf(line, isMarked, lines[index - 1]);
    if (line.trim() === '') {
      isOpen = false;
    } else if (heading !== null) {
      isInMaterials = MATERIALS.test(heading);
      stage = stageNamed(heading) ?? (isInMaterials ? stage : null);
      isOpen = false;
    } else if (isInMaterials) {
      materials.push(line.replace(MARKER, '').trim());
    } else if (isNumbered && SET_IN.test(line) && steps.length > 0) {
      addItem(steps, line);
    } else if (MARKER.test(line) || !isOpen) {
      // In marked text, a line on its own after a gap still belongs to the step above it.
      const goesOn = isMarked && !MARKER.test(line) && steps.length > 0;
      if (goesOn) addTo(steps, line);
      else steps.push({ text: line.replace(MARKER, '').trim(), stage, line: index + 1 });
      isOpen = true;
    } else {
      addTo(steps, line);
    }
  });
  return {
    steps: steps.slice(0, MOST_STEPS).map((step) => ({ ...step, text: step.text.slice(0, LONGEST_STEP) })),
    materials,
    isCut:
      lines.length >= MOST_LINES ||
      lines.some((line) => line.length >= LONGEST_LINE) ||
      steps.length > MOST_STEPS ||
      steps.some((step) => step.text.length > LONGEST_STEP),
  };
}

/** A list within a step stays a list. */
function addItem(steps: { text: string }[], line: string): void {
  const last = steps.at(-1);
  if (last) last.text = `${last.text}\n- ${line.replace(MARKER, '').trim()}`;
}

function addTo(steps: { text: string }[], line: string): void {
  const last = steps.at(-1);
  if (last) last.text = `${last.text} ${line.trim()}`;
}

/** The words of a heading: a line with a mark of its own, or a short one alone above marked lines. */
function headingOf(line: string, isMarked: boolean, before: string | undefined): string | null {
  if (MARKER.test(line)) return null;
  const trimmed = line.trim();
  if (trimmed.length > LONGEST_HEADING) return null;
  const words = HEADING.exec(trimmed)?.[1]?.trim() ?? null;
  if (words === null) return null;
  const hasMark = trimmed.startsWith('#') || trimmed.endsWith(':');
  const isAlone = (before ?? '').trim() === '' && words.split(/\s+/).length <= 4;
  return hasMark || (isMarked && isAlone) ? words : null;
}

const STAGE_NAMES: Readonly<Partial<Record<Stage, readonly string[]>>> = {
  skeleton: ['skeleton', 'wire', 'armature', 'frame'],
  core: ['core', 'body', 'base'],
  shape: ['shape', 'shaping', 'limbs'],
  coat: ['coat', 'colour', 'cover'],
  join: ['join', 'joining', 'assembly', 'putting together'],
  detail: ['detail', 'details', 'face'],
  hair: ['hair', 'fringe', 'locks'],
  mount: ['mount', 'mounting', 'hanging'],
  finish: ['finish', 'finishing'],
};

const stageNamed = (heading: string): Stage | null =>
  STAGES.find((stage) => STAGE_NAMES[stage]?.includes(heading.toLowerCase()) === true) ?? null;
