import { missingForPublishing, type Revision, type StoredPattern } from '@lanakit/core';
import { Button } from 'antd';
import { useState } from 'react';
import { ApiProblem, send } from '../api/client.ts';
import { refresh } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';
import { counted } from '../words/show.ts';
import { useTable } from './tableContext.ts';

/** Makes a revision of what is saved. It says beforehand when something unknown stands in the way. */
export function PublishButton({ stored }: { stored: StoredPattern }) {
  const { draft, problems } = useTable();
  const say = useNotice();
  const [isBusy, setBusy] = useState(false);
  const missing = missingForPublishing(draft.document);

  const publish = async () => {
    if (missing.length + problems.length > 0) {
      const count = counted(missing.length + problems.length, 'thing');
      say({ text: `Not published: ${count} to settle first, listed under “To settle”.`, isProblem: true });
      return;
    }
    setBusy(true);
    try {
      if (!(await draft.settle())) {
        say({ text: 'Not published: the newest changes are not saved yet.', isProblem: true });
        return;
      }
      const revision = await send<Revision>('POST', `/patterns/${stored.id}/revisions`, {
        version: draft.version(),
      });
      say({
        text: `Revision ${revision.number} is published. It never changes; classes are planned from it.`,
      });
      await refresh('/patterns', '/revisions', '/bench');
    } catch (error) {
      say({ text: error instanceof ApiProblem ? error.problem.title : String(error), isProblem: true });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Button type="primary" loading={isBusy} onClick={() => void publish()}>
      Publish revision {(stored.revision?.number ?? 0) + 1}
    </Button>
  );
}
