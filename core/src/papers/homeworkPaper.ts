import { needleOf, type Pattern, type Step, workMinutes } from '../pattern/index.ts';
import { counted, lengthOfTime, wantedName } from '../words/index.ts';
import { left, type Paper, type PaperSource, row, section, wide } from './paper.ts';
import { designsOfPacks } from './timesOfRun.ts';

/** What is taken home and finished there, step by step in the author’s words. */
export function homeworkPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { elsewhere } = source.input.plan;
  const sections = [...designsOfPacks(source)].flatMap(([revisionId, pattern]) => {
    const isHome = ({ id }: Step) =>
      elsewhere.some((each) => each.where === 'home' && each.revisionId === revisionId && each.stepId === id);
    const steps = pattern.steps.filter(isHome);
    return steps.length > 0 ? [homework(pattern, steps)] : [];
  });
  const nothing = section('Nothing', { notes: ['Nothing of this class is taken home to be finished.'] });
  return { title: 'To finish at home', sections: sections.length > 0 ? sections : [nothing] };
}

function homework(pattern: Pattern, steps: readonly Step[]) {
  const work = steps.map((step) => workMinutes(step, pattern)?.likely ?? null);
  const minutes = work.reduce<number>((sum, each) => sum + (each ?? 0), 0);
  const unknown = work.filter((each) => each === null).length;
  return section(pattern.title, {
    aside: `${counted(steps.length, 'step')}, about ${lengthOfTime(minutes)} for practised hands${unknown > 0 ? ', and what nobody has timed' : ''}`,
    columns: [left('Step'), wide('What'), left('Needle')],
    rows: steps.map((step) => {
      const needle = needleOf(step, pattern);
      const check = step.checks[0];
      return row(
        [
          String(pattern.steps.indexOf(step) + 1),
          step.text.replaceAll(/[*_#>`]/g, ''),
          needle ? wantedName(needle) : '–',
        ],
        { ticks: 1, ...(check && { note: `Look at ${check.look}: ${check.pass}` }) },
      );
    }),
    notes: ['Work on the mat, straight in and out; a needle left in wool is found by fingers.'],
  });
}
