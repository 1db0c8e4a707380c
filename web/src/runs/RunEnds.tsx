import type { OpenedRun } from '@lanakit/core/api';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { errorWords, send } from '../api/client.ts';
import { refresh } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';
import type { RunDraft } from './useRunDraft.ts';

/** The same planned again as a run of its own. */
export function CopyRun({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const say = useNotice();
  const copy = async () => {
    try {
      await draft.settle();
      const { id } = await send<OpenedRun>('POST', `/runs/${run.id}/copy`);
      await refresh('/runs', '/bench');
      await navigate(`/runs/${id}`);
      say({ text: `This is the same again, planned anew. Give it its day.` });
    } catch (error) {
      say({ text: errorWords(error), isProblem: true });
    }
  };
  return (
    <Button size="small" onClick={() => void copy()}>
      Plan the same again
    </Button>
  );
}

/** Deleted, until it is brought back. */
export function DeleteRun({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const say = useNotice();
  const remove = async () => {
    try {
      await draft.settle();
      await send('DELETE', `/runs/${run.id}`, { version: draft.version() });
      await navigate('/runs');
      await refresh('/runs', '/bench');
      const undo = async () => {
        await send('POST', `/runs/${run.id}/restore`);
        await refresh('/runs', '/bench');
      };
      say({ text: `“${draft.input.name}” is deleted.`, undo: () => void undo() });
    } catch (error) {
      say({ text: errorWords(error), isProblem: true });
    }
  };
  return (
    <Button size="small" danger onClick={() => void remove()}>
      {draft.input.kind === 'kits' ? 'Delete this batch' : 'Delete this class'}
    </Button>
  );
}
