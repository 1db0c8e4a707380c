import { blankPattern, BLANK_STEP, type Pattern } from '../pattern/index.ts';
import { readSteps } from '../writing/index.ts';

/** Lines of our own Markdown that are worked out anew and belong to no step. */
const COMPUTED =
  /^\s*(?:>|\*(?:[^*]+ needle|toward|straight|at a slant|along|in one|edges|light|half|right|\d|then wait|Begins with|Safe stop|Homework)|- \[ \]|\*\*Check\*\*|Stop or change:|You decided in step)/;

/**
 * A Markdown text as a pattern: its first heading is the title, its numbered lines are steps. Amounts, needles and parts
 * are left for the author to approve (see `recognise`).
 */
export function patternFromMarkdown(text: string, newId: () => string): Pattern {
  const title = /^\s*#\s+(.+)$/m.exec(text)?.[1]?.trim();
  const body = text
    .split('\n')
    .filter((line) => !/^\s*#\s/.test(line) && !COMPUTED.test(line))
    .map(unescape)
    .join('\n');
  const { steps } = readSteps(withoutLists(withoutPreface(body)));
  return {
    ...blankPattern((title ?? 'Brought in').slice(0, 120)),
    prerequisites: unescape(/^Before you begin: (.+)$/m.exec(text)?.[1] ?? '').slice(0, 600),
    steps: steps.map((step) => ({
      ...BLANK_STEP,
      id: newId(),
      text: step.text,
      stage: step.stage ?? 'core',
    })),
  };
}

const unescape = (text: string): string => text.replaceAll(/\\([\\`*_[\]<>#])/g, '$1');

/** What stands between the title and the first heading tells of the pattern; it is no step, unless it is numbered. */
function withoutPreface(text: string): string {
  const lines = text.split('\n');
  const first = lines.findIndex((line) => /^\s*#{2,}\s/.test(line));
  return lines.filter((line, at) => at >= first || /^\s*\d+[.)]\s/.test(line)).join('\n');
}

/** Materials and tools are derived, not read: their headings and lists go. */
function withoutLists(text: string): string {
  let isIn = false;
  return text
    .split('\n')
    .filter((line) => {
      if (/^\s*#{2,}\s/.test(line)) isIn = /^\s*#{2,}\s+(?:materials?|tools?|you need)\s*$/i.test(line);
      return !isIn;
    })
    .join('\n');
}
