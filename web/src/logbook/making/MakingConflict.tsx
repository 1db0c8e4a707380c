import { tookOfMaking, type MakingInput } from '@lanakit/core/logbook';
import { DraftConflict } from '../../draft/DraftConflict.tsx';
import { counted, showDay, showGrams } from '../../words/show.ts';
import type { MakingDraft } from './useMakingDraft.ts';

export const MakingConflict = ({ draft }: { draft: MakingDraft }) => (
  <DraftConflict what="This page" draft={draft} inWords={inWords} />
);

const inWords = (making: MakingInput): string =>
  `${making.title}, ${showDay(making.date)}, ${showGrams(tookOfMaking(making).knownG)} weighed, ` +
  `${counted(making.steps.filter(({ minutes }) => minutes !== null).length, 'step')} timed`;
