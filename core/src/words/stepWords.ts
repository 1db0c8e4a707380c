import type { PatternEstimate, Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import {
  type InBag,
  type Reader,
  type ReadingSession,
  type ReadingStep,
  stillInBag,
  thingsStill,
} from '../reading/index.ts';
import { stillWords } from './bagWords.ts';
import { fibreNamesOf } from './fibreNames.ts';
import { minutesWords } from './minutesWords.ts';
import { wantedName } from './needleWords.ts';
import { DEPTH_WORDS, STROKE_WORDS } from './writingWords.ts';

/** What an act with more to it than a word says to its reader; empty: nothing. */
export function actWords({ step: { act } }: ReadingStep, build: Pick<Pattern, 'steps'>): string {
  switch (act.kind) {
    case 'choose':
      return `${act.findingUseIds.length} are in the bag: try them on the figure, keep one, the rest goes back.`;
    case 'decide': {
      const answers = act.answers.filter((answer) => answer !== '').map((answer) => `☐ ${answer}`);
      return `Decide now: ${act.question} ${answers.join('  ')}`.trim();
    }
    case 'stand-in': {
      const until = build.steps.findIndex(({ id }) => id === act.untilStepId) + 1;
      return `It stands in for ${act.standsFor}${until > 0 ? `, until step ${until}` : ''}.`;
    }
    default:
      return '';
  }
}

/** Needle, stroke, depth and time of a step, each with its name. */
export const stepMarks = ({ step, needle }: ReadingStep): string[] => [
  ...(needle === null
    ? []
    : [`${wantedName(needle)} needle${step.holder !== null && step.holder > 1 ? ` ×${step.holder}` : ''}`]),
  ...(step.stroke ? [STROKE_WORDS[step.stroke]] : []),
  ...(step.depth ? [DEPTH_WORDS[step.depth]] : []),
  ...(step.minutes === null ? [] : [minutesWords(step.minutes)]),
  ...(step.waiting === null ? [] : [`then waits ${minutesWords(step.waiting)}`]),
];

interface BagTold {
  readonly build: Pattern;
  readonly estimate: PatternEstimate;
  readonly wool: Wool;
  readonly reader: Reader;
  readonly inBag: readonly InBag[];
  /** Makes the bag is for. */
  readonly copies: number;
  /** Of each finding so many are spare; null: it is no pack. */
  readonly spares: ReadonlyMap<string, number> | null;
}

/** What should still be in the bag after a sitting; empty: nothing is told. */
export function stillAfter(sitting: ReadingSession, isLast: boolean, told: BagTold): string {
  const { build, estimate, wool, reader, inBag, copies, spares } = told;
  const at = { afterStep: sitting.lastStep, copies };
  const still = stillInBag(inBag, build, estimate.uses, at);
  const things = thingsStill(build, estimate, wool, { ...at, ...(spares && { spares }) });
  if (still.length + things.length === 0 || (isLast && spares === null)) return '';
  const names = {
    fibreName: fibreNamesOf(wool),
    findingName: (id: string) => wool.findings.get(id)?.name ?? 'a finding',
  };
  const when = isLast ? 'At the end' : reader === 'kit' ? 'Now' : 'Still to come';
  const left = reader === 'kit' || isLast ? ' should be left in the bag' : '';
  return `${when}, ${stillWords(still, things, names)}${left}.`;
}
