import { type PlannedRow, type ShelfView, toImport } from '@lanakit/core/files';
import type { ListKind } from '@lanakit/core/tables';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useNotice } from '../shell/Notice.tsx';
import { counted } from '../words/show.ts';
import { perform } from '../api/mutations/mutation.ts';
import { bringInList, takeBackList } from '../api/mutations/shelf.ts';

/** Where what was read in is seen. */
export const SHELF_OF: Readonly<Record<ListKind, string>> = {
  fibres: '/shelf',
  findings: '/shelf/findings',
  needles: '/shelf/tools',
  prices: '/shelf/suppliers',
  counts: '/shelf',
};

/** Sends the ticked rows, says what happened, and offers to take it back. */
export function useBringIn(kind: ListKind) {
  const [isBusy, setBusy] = useState(false);
  const navigate = useNavigate();
  const say = useNotice();
  const fail = (error: unknown) => {
    const first = error instanceof ApiProblem ? error.problem.errors?.[0]?.message : undefined;
    const message = errorWords(error);
    say({ text: first === undefined ? message : `${message} ${first}`, isProblem: true });
  };
  const run = async (fileName: string, rows: readonly PlannedRow[], shelf: ShelfView) => {
    setBusy(true);
    try {
      const { id } = await perform(bringInList(toImport(fileName.slice(0, 200), rows, shelf)));
      say({
        text: `${counted(rows.length, 'row')} read in from ${fileName}.`,
        undo: () => void perform(takeBackList(id)).catch(fail),
      });
      void navigate(SHELF_OF[kind]);
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  return { isBusy, run };
}
