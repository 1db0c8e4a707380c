import { Button, Modal } from 'antd';
import { counted, showDay } from '../words/show.ts';
import { percentOf } from '@lanakit/core/base';
import type { RunInput } from '@lanakit/core/run';
import type { RunDraft } from './useRunDraft.ts';

/** The class was changed in another tab: both are shown, and she decides. */
export function RunConflict({ draft }: { draft: RunDraft }) {
  if (draft.saveState.kind !== 'conflict') return null;
  return (
    <Modal
      open
      closable={false}
      title="This class was changed elsewhere"
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

const inWords = (run: RunInput): string =>
  `${run.name}, ${showDay(run.date)}, ${counted(run.seats, 'seat')}, ${counted(run.sparePacks, 'spare pack')}, ` +
  `scale ${run.scaleStepG} g, ${percentOf(run.extraFraction)} % more than likely`;
