import type { OpenedRun } from '@lanakit/core/api';
import { Button, Dropdown } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useNotice } from '../shell/Notice.tsx';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import type { RunDraft } from './useRunDraft.ts';

interface SheetLinkProps {
  runId: string;
  draft: RunDraft;
  sheet: string;
  isPrimary?: boolean;
  size?: 'small' | 'middle';
  children: string;
}

/** Sheets are made from what is saved, so saving comes first. */
function useSheet(runId: string, draft: RunDraft): (sheet: string) => Promise<void> {
  const navigate = useNavigate();
  const say = useNotice();
  return async (sheet) => {
    if (await draft.settle()) await navigate(`/runs/${runId}/${sheet}`);
    else say(NOT_SAVED_YET);
  };
}

export function SheetLink({
  runId,
  draft,
  sheet,
  isPrimary = false,
  size = 'middle',
  children,
}: SheetLinkProps) {
  const open = useSheet(runId, draft);
  return (
    <Button type={isPrimary ? 'primary' : 'default'} size={size} onClick={() => void open(sheet)}>
      {children}
    </Button>
  );
}

/** Everything that is printed of a run. */
export function RunPapers({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const open = useSheet(run.id, draft);
  const [isOpen, setOpen] = useState(false);
  const isKits = draft.input.kind === 'kits';
  const papers: readonly (readonly [string, string])[] = [
    ['papers/packs', isKits ? 'Box lists' : 'Pack lists'],
    ['papers/labels', 'Labels'],
    ['papers/contents', 'Contents card'],
    ['pattern', 'Patterns, as each is made'],
    ['guide', 'Guide at true size'],
    ...(isKits ? [] : ([['papers/room', 'Room list']] as const)),
    ['papers/shortage', 'What is short'],
    ['papers/preparation', 'To prepare beforehand'],
    ['papers/weigh-out', 'Weigh-out list'],
    ...(isKits
      ? []
      : ([
          ['needles', 'Needles'],
          ['tray', 'Needle tray'],
        ] as const)),
  ];
  return (
    <Dropdown
      open={isOpen}
      onOpenChange={setOpen}
      trigger={['click']}
      menu={{
        items: papers.map(([key, label]) => ({ key, label })),
        onClick: ({ key }) => void open(key),
      }}
    >
      <Button aria-haspopup="menu">Papers</Button>
    </Dropdown>
  );
}
