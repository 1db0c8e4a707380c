import { type BaseProblem, checkName, checkRange, isCalendarDate } from '../base/index.ts';
import {
  MAKING_BOUNDS,
  type MakingInput,
  type MakingLine,
  type MakingPiece,
  type MakingStep,
} from './making.ts';

/** What cannot be written down so. Half of a making is no problem, and what cannot be true is only asked about. */
export function checkMaking(making: MakingInput): BaseProblem[] {
  return [
    ...checkName(making.title, '/title'),
    ...(isCalendarDate(making.date)
      ? []
      : [{ code: 'date_not_read', pointer: '/date', text: making.date } as const]),
    ...checkRange(making.sizeFraction, MAKING_BOUNDS.sizeFraction, '/sizeFraction'),
    ...massAt(making.wholeG, '/wholeG'),
    ...making.lines.flatMap((line, at) => checkLine(line, `/lines/${at}`)),
    ...making.pieces.flatMap((piece, at) => checkPiece(piece, `/pieces/${at}`)),
    ...making.steps.flatMap((step, at) => checkStep(step, `/steps/${at}`)),
    ...(making.things ?? []).flatMap(({ used, lost }, at) => [
      ...checkRange(used, MAKING_BOUNDS.things, `/things/${at}/used`),
      ...checkRange(lost, MAKING_BOUNDS.things, `/things/${at}/lost`),
    ]),
  ];
}

const massAt = (massG: number | null, pointer: string): BaseProblem[] =>
  massG === null ? [] : checkRange(massG, MAKING_BOUNDS.massG, pointer);

function checkLine(line: MakingLine, pointer: string): BaseProblem[] {
  const masses = (['beforeG', 'afterG', 'addedG', 'removedG'] as const).flatMap((key) =>
    massAt(line[key], `${pointer}/${key}`),
  );
  const counts = line.hand
    ? checkRange(line.hand.count, MAKING_BOUNDS.handCount, `${pointer}/hand/count`)
    : [];
  return [...masses, ...counts];
}

const checkPiece = (piece: MakingPiece, pointer: string): BaseProblem[] => [
  ...(['rolledMm', 'feltedMm', 'finishedMm'] as const).flatMap((key) => {
    const sizeMm = piece[key];
    return sizeMm === null ? [] : checkRange(sizeMm, MAKING_BOUNDS.sizeMm, `${pointer}/${key}`);
  }),
  ...massAt(piece.massG, `${pointer}/massG`),
];

const checkStep = ({ minutes, broken, since }: MakingStep, pointer: string): BaseProblem[] => [
  ...(minutes === null ? [] : checkRange(minutes, MAKING_BOUNDS.minutes, `${pointer}/minutes`)),
  ...checkRange(broken, MAKING_BOUNDS.broken, `${pointer}/broken`),
  ...(since === null || Number.isFinite(Date.parse(since))
    ? []
    : [{ code: 'date_not_read', pointer: `${pointer}/since`, text: since } as const]),
];
