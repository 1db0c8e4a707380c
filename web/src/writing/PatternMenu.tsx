import { apiPath } from '../api/studio.ts';
import type { StoredPattern } from '@lanakit/core/api';
import { copyOf, derivedFrom, type Pattern } from '@lanakit/core/pattern';
import { Button, Dropdown } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import { useTable } from './table/tableContext.ts';
import { perform } from '../api/mutations/mutation.ts';
import { archivePattern, createPattern, deletePattern, restorePattern } from '../api/mutations/patterns.ts';
import { useAttempt } from '../shell/useAttempt.ts';

const ResizeDialog = lazy(async () => ({ default: (await import('./ResizeDialog.tsx')).ResizeDialog }));

const RevisionsDialog = lazy(async () => ({
  default: (await import('./RevisionsDialog.tsx')).RevisionsDialog,
}));

/** What can be done to a whole pattern. */
function usePatternActions(stored: StoredPattern) {
  const document = useTable((table) => table.document);
  const version = useTable((table) => table.version);
  const title = useTable((table) => table.document.title);
  const settle = useTable((table) => table.settle);
  const navigate = useNavigate();
  const attempt = useAttempt();

  const copyAs = (document: Pattern) =>
    attempt(async () => {
      const copy = await perform(createPattern(document));
      await navigate(`/patterns/${copy.id}`);
      return undefined;
    });
  const putAway = () =>
    attempt(async () => {
      await settle();
      await perform(archivePattern(stored.id, true), () => void navigate('/patterns'));
      return {
        text: `“${title}” is put away.`,
        undo: () => perform(archivePattern(stored.id, false)),
      };
    });
  const saveAs = (as: string) =>
    attempt(async () => {
      if (!(await settle())) return NOT_SAVED_YET;
      window.location.assign(apiPath(`/patterns/${stored.id}/file?as=${as}`));
      return undefined;
    });
  const remove = () =>
    attempt(async () => {
      await settle();
      await perform(deletePattern(stored.id, version()), () => void navigate('/patterns'));
      return { text: `“${title}” is deleted.`, undo: () => perform(restorePattern(stored.id)) };
    });
  const compare = () =>
    attempt(async () => {
      if (!(await settle())) return NOT_SAVED_YET;
      const before = stored.revision ? `&b=revision:${stored.revision.id}` : '';
      await navigate(`/compare?a=draft:${stored.id}${before}`);
      return undefined;
    });
  const history = () =>
    attempt(async () => {
      if (!(await settle())) return NOT_SAVED_YET;
      await navigate(`/history/pattern/${stored.id}`);
      return undefined;
    });
  return {
    duplicate: () => copyAs(copyOf(document)),
    derive: () => copyAs(derivedFrom(document)),
    read: async () => {
      await settle();
      await navigate(`/patterns/${stored.id}/read`);
    },
    guide: async () => {
      await settle();
      await navigate(`/patterns/${stored.id}/guide`);
    },
    papers: async () => {
      await settle();
      await navigate(`/patterns/${stored.id}/papers`);
    },
    saveAs,
    putAway,
    remove,
    compare,
    history,
  };
}

/** What is done to a whole pattern, and not often. */
export function PatternMenu({ stored }: { stored: StoredPattern }) {
  const undo = useTable((table) => table.undo);
  const redo = useTable((table) => table.redo);
  const undoLabel = useTable((table) => table.undoLabel);
  const redoLabel = useTable((table) => table.redoLabel);
  const actions = usePatternActions(stored);
  const [isResizing, setResizing] = useState(false);
  const [isShowing, setShowing] = useState(false);
  return (
    <>
      {isResizing && (
        <Suspense fallback={null}>
          <ResizeDialog stored={stored} onClose={() => setResizing(false)} />
        </Suspense>
      )}
      {isShowing && (
        <Suspense fallback={null}>
          <RevisionsDialog stored={stored} onClose={() => setShowing(false)} />
        </Suspense>
      )}
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'resize', label: 'Another size…' },
            { key: 'compare', label: 'Side by side with…' },
            { key: 'read', label: 'Read as the learner does' },
            { key: 'papers', label: 'Booklet: to sell, to teach, to keep' },
            { key: 'guide', label: 'Guide at true size' },
            { key: 'revisions', label: 'Revisions…' },
            { key: 'history', label: 'History: as it was before' },
            { key: 'duplicate', label: 'Duplicate this pattern' },
            { key: 'derive', label: 'Derive a new one from it' },
            {
              key: 'save',
              label: 'Save as a file',
              children: [
                { key: 'zip', label: 'ZIP with its pictures' },
                { key: 'json', label: 'JSON' },
                { key: 'markdown', label: 'Markdown, to read' },
              ],
            },
            { key: 'undo', label: 'Undo', extra: 'Ctrl Z', disabled: undoLabel === null },
            { key: 'redo', label: 'Redo', extra: 'Ctrl Shift Z', disabled: redoLabel === null },
            { type: 'divider' },
            { key: 'archive', label: 'Put it away' },
            { key: 'delete', label: 'Delete this pattern', danger: true },
          ],
          onClick: ({ key }) => {
            if (key === 'resize') setResizing(true);
            if (key === 'compare') void actions.compare();
            if (key === 'history') void actions.history();
            if (key === 'duplicate') void actions.duplicate();
            if (key === 'derive') void actions.derive();
            if (key === 'read') void actions.read();
            if (key === 'guide') void actions.guide();
            if (key === 'papers') void actions.papers();
            if (key === 'revisions') setShowing(true);
            if (key === 'zip' || key === 'json' || key === 'markdown') void actions.saveAs(key);
            if (key === 'archive') void actions.putAway();
            if (key === 'undo') undo();
            if (key === 'redo') redo();
            if (key === 'delete') void actions.remove();
          },
        }}
      >
        <Button aria-label="More to do with this pattern">⋯</Button>
      </Dropdown>
    </>
  );
}
