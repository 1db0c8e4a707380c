import { needleOf, type Pattern, type Step } from '../pattern/index.ts';
import { designsOfPacks, minutesElsewhere, type MinutesElsewhere } from '../run/index.ts';
import { checkWords, counted, timeOfSteps, wantedName } from '../words/index.ts';
import { left, type Paper, type PaperSource, row, section, wide } from './paper.ts';

/** What is taken home and finished there, step by step in the author’s words. */
export function homeworkPaper({ input, toPack }: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { elsewhere } = input.plan;
  const sections = [...designsOfPacks(toPack.groups)].flatMap(([revisionId, pattern]) => {
    const made = toPack.groups.flatMap(({ sample, makes }) =>
      sample
        ? []
        : makes.filter((make) => make.revisionId === revisionId).flatMap(({ build }) => build.steps),
    );
    const isHome = ({ id }: Step) =>
      elsewhere.some((each) => each.where === 'home' && each.revisionId === revisionId && each.stepId === id);
    // A step that every seat has chosen away is nobody’s homework.
    const steps = pattern.steps.filter((step) => isHome(step) && made.some(({ id }) => id === step.id));
    const time = minutesElsewhere({ revisionId, build: { ...pattern, steps } }, elsewhere, 'home');
    return steps.length > 0 ? [homework(pattern, steps, time)] : [];
  });
  const nothing = section('Nothing', { notes: ['Nothing of this class is taken home to be finished.'] });
  return { title: 'To finish at home', sections: sections.length > 0 ? sections : [nothing] };
}

function homework(pattern: Pattern, steps: readonly Step[], time: MinutesElsewhere) {
  return section(pattern.title, {
    aside: `${counted(steps.length, 'step')}; for practised hands ${timeOfSteps(time)}`,
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
        { ticks: 1, ...(check && { note: `Check ${checkWords(check)}` }) },
      );
    }),
    notes: ['Work on the mat, straight in and out; a needle left in wool is found by fingers.'],
  });
}
