import type { OpenedRun } from '@lanakit/core/api';
import { hasPeople } from '@lanakit/core/run';
import { Button, Popconfirm } from 'antd';
import { useNavigate } from 'react-router';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import type { RunDraft } from './useRunDraft.ts';
import { perform } from '../api/mutations/mutation.ts';
import { copyRun, deleteRun, forgetPeople, restoreRun } from '../api/mutations/runs.ts';
import { useNotice } from '../shell/Notice.tsx';
import { useAttempt } from '../shell/useAttempt.ts';

/** The same planned again as a run of its own. */
export function CopyRun({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const copy = () =>
    attempt(async () => {
      if (!(await draft.settle())) return NOT_SAVED_YET;
      const { id } = await perform(copyRun(run.id));
      await navigate(`/runs/${id}`);
      return { text: `This is the same again, planned anew. Give it its day.` };
    });
  return (
    <Button size="small" onClick={() => void copy()}>
      Plan the same again
    </Button>
  );
}

/** As it was before its changes. */
export function RunHistory({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const say = useNotice();
  const open = async () => {
    if (await draft.settle()) await navigate(`/history/run/${run.id}`);
    else say(NOT_SAVED_YET);
  };
  return (
    <Button size="small" onClick={() => void open()}>
      History
    </Button>
  );
}

/** Who came, forgotten for good: that cannot be taken back, and is asked about. */
export function ForgetPeople({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  if (!hasPeople(draft.input.roster)) return null;
  const forget = () =>
    attempt(async () => {
      if (!(await draft.settle())) return NOT_SAVED_YET;
      // Away from it: what is open there still knows them.
      await perform(forgetPeople(run.id, draft.version()), () => void navigate('/runs'));
      return {
        text: `Who came to “${draft.input.name}” is forgotten. Backups made before still have it.`,
      };
    });
  return (
    <Popconfirm
      title="Forget who came?"
      description="Names, notes, what they may not touch, left hands: out of this class and its history, for good. What each made stays."
      okText="Forget"
      cancelText="Keep"
      onConfirm={() => void forget()}
    >
      <Button size="small">Forget who came…</Button>
    </Popconfirm>
  );
}

/** Deleted, until it is brought back. */
export function DeleteRun({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const remove = () =>
    attempt(async () => {
      await draft.settle();
      // Away from it first: asked for again while it is shown it would be not found.
      await perform(deleteRun(run.id, draft.version()), () => void navigate('/runs'));
      return { text: `“${draft.input.name}” is deleted.`, undo: () => perform(restoreRun(run.id)) };
    });
  return (
    <Button size="small" danger onClick={() => void remove()}>
      {draft.input.kind === 'kits' ? 'Delete this batch' : 'Delete this class'}
    </Button>
  );
}
