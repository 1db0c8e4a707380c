import type { StoredPattern } from '@lanakit/core';
import { Button, Dropdown } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, send } from '../api/client.ts';
import { refresh } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';
import { useTable } from './tableContext.ts';

const ResizeDialog = lazy(async () => ({ default: (await import('./ResizeDialog.tsx')).ResizeDialog }));

/** What is done to a whole pattern, and not often. */
export function PatternMenu({ stored }: { stored: StoredPattern }) {
  const { draft } = useTable();
  const navigate = useNavigate();
  const say = useNotice();
  const [isResizing, setResizing] = useState(false);

  const attempt = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      say({ text: error instanceof ApiProblem ? error.problem.title : String(error), isProblem: true });
    }
  };
  const duplicate = () =>
    attempt(async () => {
      const title = `${draft.document.title.slice(0, 110)} (copy)`;
      const copy = await send<StoredPattern>('POST', '/patterns', { body: { ...draft.document, title } });
      await refresh('/patterns');
      await navigate(`/patterns/${copy.id}`);
    });
  const remove = () =>
    attempt(async () => {
      await draft.settle();
      await send('DELETE', `/patterns/${stored.id}`, { version: draft.version() });
      await navigate('/patterns');
      await refresh('/patterns', '/bench', '/revisions');
      const undo = () =>
        attempt(async () => {
          await send('POST', `/patterns/${stored.id}/restore`);
          await refresh('/patterns', '/bench', '/revisions');
        });
      say({ text: `“${draft.document.title}” is deleted.`, undo: () => void undo() });
    });
  const compare = () =>
    attempt(async () => {
      await draft.settle();
      const before = stored.revision ? `&b=revision:${stored.revision.id}` : '';
      await navigate(`/compare?a=draft:${stored.id}${before}`);
    });
  return (
    <>
      {isResizing && (
        <Suspense fallback={null}>
          <ResizeDialog stored={stored} onClose={() => setResizing(false)} />
        </Suspense>
      )}
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'resize', label: 'Another size…' },
            { key: 'compare', label: 'Side by side with…' },
            { key: 'duplicate', label: 'Duplicate this pattern' },
            { key: 'undo', label: 'Undo', extra: 'Ctrl Z', disabled: draft.undoLabel === null },
            { key: 'redo', label: 'Redo', extra: 'Ctrl Shift Z', disabled: draft.redoLabel === null },
            { type: 'divider' },
            { key: 'delete', label: 'Delete this pattern', danger: true },
          ],
          onClick: ({ key }) => {
            if (key === 'resize') setResizing(true);
            if (key === 'compare') void compare();
            if (key === 'duplicate') void duplicate();
            if (key === 'undo') draft.undo();
            if (key === 'redo') draft.redo();
            if (key === 'delete') void remove();
          },
        }}
      >
        <Button aria-label="More to do with this pattern">⋯</Button>
      </Dropdown>
    </>
  );
}
