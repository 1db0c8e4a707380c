import { counted, showDay } from '../words/index.ts';
import { beforeClassPaper } from './beforeClassPaper.ts';
import { contentsPaper } from './contentsPaper.ts';
import { bagLabels } from './labels.ts';
import { figuresOf } from './figuresOf.ts';
import { packsPaper } from './packsPaper.ts';
import { CARE, type Paper, type PaperName, type PaperSource } from './paper.ts';
import { preparationPaper } from './preparationPaper.ts';
import { roomPaper } from './roomPaper.ts';
import { riskPaper } from './riskPaper.ts';
import { homeworkPaper } from './homeworkPaper.ts';
import { runSheetPaper } from './runSheetPaper.ts';
import { shortagePaper } from './shortagePaper.ts';
import { signUpPaper } from './signUpPaper.ts';
import { weighOutPaper } from './weighOutPaper.ts';

const MAKERS: Readonly<
  Record<Exclude<PaperName, 'labels'>, (source: PaperSource) => Pick<Paper, 'title' | 'sections'>>
> = {
  'weigh-out': weighOutPaper,
  packs: packsPaper,
  contents: contentsPaper,
  room: roomPaper,
  shortage: shortagePaper,
  preparation: preparationPaper,
  'run-sheet': runSheetPaper,
  homework: homeworkPaper,
  risks: riskPaper,
  'before-class': beforeClassPaper,
  'sign-up': signUpPaper,
};

/** A sheet of a run, not yet set: what the screen, the PDF and the table in a file are all made from. */
export function makePaper(name: PaperName, source: PaperSource): Paper {
  const made =
    name === 'labels'
      ? { title: 'Labels', sections: [], labels: bagLabels(source), figures: figuresOf(source) }
      : { ...MAKERS[name](source), labels: [], figures: {} };
  return { name, head: name === 'before-class' ? [source.input.name] : headOf(source), foot: CARE, ...made };
}

function headOf({ input, plan, toPack, revisionNumbers }: PaperSource): string[] {
  const titles = new Set(
    toPack.groups.flatMap(({ makes }) =>
      makes.map(
        ({ pattern, revisionId }) => `${pattern.title}, revision ${revisionNumbers.get(revisionId) ?? '?'}`,
      ),
    ),
  );
  const who = input.kind === 'kits' ? counted(input.seats, 'box', 'boxes') : counted(input.seats, 'seat');
  return [
    `${input.name}, ${showDay(input.date, { year: true })}: ${who}${plan.packs > input.seats ? `, ${plan.packs} with what is spare or shown` : ''}`,
    [...titles].join('; '),
    ...(plan.unknownCount > 0 ? [`At least: ${counted(plan.unknownCount, 'amount')} unknown.`] : []),
    ...(input.rightsReason.trim() === ''
      ? []
      : [`Gone on without a permission: ${input.rightsReason.trim()}`]),
  ];
}
