import { Button, Modal } from 'antd';
import type { KeptDraft } from './useKeptDraft.ts';

interface DraftConflictProps<T> {
  /** This class, this page. */
  what: string;
  draft: KeptDraft<T>;
  /** A document in a line, so that two can be told apart. */
  inWords: (document: T) => string;
}

/** It was changed in another tab: both are told, and she decides. */
export function DraftConflict<T>({ what, draft, inWords }: DraftConflictProps<T>) {
  if (draft.saveState.kind !== 'conflict') return null;
  return (
    <Modal
      open
      closable={false}
      title={`${what} was changed elsewhere`}
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
