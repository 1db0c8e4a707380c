import { papersOfRun } from '@lanakit/core/words';
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
  const papers = papersOfRun(draft.input.kind);
  return (
    <Dropdown
      open={isOpen}
      onOpenChange={setOpen}
      trigger={['click']}
      menu={{
        items: papers.map(({ path, name }) => ({ key: path, label: name })),
        onClick: ({ key }) => void open(key),
      }}
    >
      <Button aria-haspopup="menu">Papers</Button>
    </Dropdown>
  );
}
