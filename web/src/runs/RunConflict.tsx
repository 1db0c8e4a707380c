import { percentOf } from '@lanakit/core/base';
import type { RunInput } from '@lanakit/core/run';
import { DraftConflict } from '../draft/DraftConflict.tsx';
import { counted, showDay } from '../words/show.ts';
import type { RunDraft } from './useRunDraft.ts';

export const RunConflict = ({ draft }: { draft: RunDraft }) => (
  <DraftConflict what="This class" draft={draft} inWords={inWords} />
);

const inWords = (run: RunInput): string =>
  `${run.name}, ${showDay(run.date)}, ${counted(run.seats, 'seat')}, ${counted(run.sparePacks, 'spare pack')}, ` +
  `scale ${run.scaleStepG} g, ${percentOf(run.extraFraction)} % more than likely`;
