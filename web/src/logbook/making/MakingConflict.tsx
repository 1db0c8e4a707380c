import { tookOfMaking, type MakingInput } from '@lanakit/core/logbook';
import { Button, Modal } from 'antd';
import { counted, showDay, showGrams } from '../../words/show.ts';
import type { MakingDraft } from './useMakingDraft.ts';

/** The page was changed in another tab: both are told, and she decides. */
export function MakingConflict({ draft }: { draft: MakingDraft }) {
  if (draft.saveState.kind !== 'conflict') return null;
  return (
    <Modal
      open
      closable={false}
      title="This page was changed elsewhere"
      footer={[
        <Button key="theirs" onClick={draft.takeTheirs}>
          Use the saved version
        </Button>,
        <Button key="mine" type="primary" onClick={draft.keepMine}>
          Keep mine
        </Button>,
      ]}
    >
      <p>Nothing has been overwritten.</p>
      <p className="above-2">
        <b>Mine:</b> {inWords(draft.input)}
      </p>
      <p className="above-1">
        <b>Saved:</b> {inWords(draft.saveState.theirs.document)}
      </p>
    </Modal>
  );
}

const inWords = (making: MakingInput): string =>
  `${making.title}, ${showDay(making.date)}, ${showGrams(tookOfMaking(making).knownG)} weighed, ` +
  `${counted(making.steps.filter(({ minutes }) => minutes !== null).length, 'step')} timed`;
