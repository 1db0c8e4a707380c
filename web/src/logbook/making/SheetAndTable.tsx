import type { MakingPage } from '@lanakit/core/api';
import { fillIn, makingTable, type UnreadRow } from '@lanakit/core/logbook';
import type { Wool } from '@lanakit/core/engine';
import { decodeText, guessEncoding } from '@lanakit/core/tables';
import { problemWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { useNotice } from '../../shell/Notice.tsx';
import { saveText } from '../../ui/saveText.ts';
import { counted } from '../../words/show.ts';
import book from '../Logbook.module.css';
import { lineName } from './lineName.ts';
import type { MakingDraft } from './useMakingDraft.ts';

interface SheetAndTableProps {
  page: MakingPage;
  draft: MakingDraft;
  wool: Wool;
}

/** For whoever makes it elsewhere: a sheet to fill in by hand, a table to fill in and send back. */
export function SheetAndTable({ page, draft, wool }: SheetAndTableProps) {
  const file = useRef<HTMLInputElement>(null);
  const say = useNotice();
  const [unread, setUnread] = useState<readonly UnreadRow[]>([]);
  const { input } = draft;
  const save = () =>
    saveText(`${fileNameOf(input.title)}.csv`, makingTable(input, namesOf(page, draft, wool)));
  const bring = async (chosen: File) => {
    const bytes = new Uint8Array(await chosen.arrayBuffer());
    const text = decodeText(bytes, guessEncoding(bytes));
    if (text === null) {
      say({ text: 'This file is no text. Save it as CSV in UTF-8.', isProblem: true });
      return;
    }
    const filled = fillIn(input, text);
    setUnread(filled.unread);
    if (filled.taken > 0)
      draft.change('a filled-in table', (making) => void Object.assign(making, filled.making));
    say({
      text: `${counted(filled.taken, 'line')} filled in from ${chosen.name}.`,
      isProblem: filled.taken === 0,
    });
  };
  return (
    <section aria-label="Made elsewhere" className={book.notOnPaper}>
      <h3>Made elsewhere</h3>
      <p className={book.add}>
        <Button size="small" onClick={() => window.print()}>
          Print as a sheet to fill in
        </Button>
        <Button size="small" onClick={save}>
          Save as a table to fill in
        </Button>
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="visually-hidden"
          tabIndex={-1}
          aria-label="A filled-in table"
          onChange={({ target }) => {
            const [chosen] = target.files ?? [];
            if (chosen) void bring(chosen);
            // The same one may be chosen again.
            target.value = '';
          }}
        />
        <Button size="small" onClick={() => file.current?.click()}>
          Bring a filled-in table
        </Button>
      </p>
      {unread.length > 0 && (
        <div role="alert">
          <ul className={book.said}>
            {unread.map((row) => (
              <li key={row.line}>
                Line {row.line}:{' '}
                {row.code === 'cells'
                  ? row.problems.map(problemWords).join(' ')
                  : `nothing on this page has the key “${row.key}”.`}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

const fileNameOf = (title: string): string =>
  title
    .trim()
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-') || 'making';

const namesOf = (page: MakingPage, { input }: MakingDraft, wool: Wool) => ({
  line: (id: string) => {
    const line = input.lines.find((each) => each.id === id);
    return line ? lineName(line, page, wool) : '';
  },
  piece: (id: string) => {
    const piece = input.pieces.find((each) => each.id === id);
    return page.build?.parts.find((part) => part.id === piece?.partId)?.name ?? piece?.name ?? '';
  },
  step: (id: string) => {
    const at = input.steps.findIndex((each) => each.id === id);
    const step = input.steps[at];
    const text = page.build?.steps.find((each) => each.id === step?.stepId)?.text ?? step?.text ?? '';
    return `${at + 1}. ${text.slice(0, 80)}`;
  },
});
