import type { StoredPattern } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import type { Fibre } from '@lanakit/core/shelf';
import { lazy, useCallback, useDeferredValue, useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { SaveMark } from '../draft/SaveMark.tsx';
import { useUndoKeys } from '../draft/useUndoKeys.ts';
import { InTopBar } from '../shell/TopSlot.tsx';
import { ConflictDialog } from './ConflictDialog.tsx';
import { Ledger } from './ledger/Ledger.tsx';
import { PatternHeader } from './PatternHeader.tsx';
import { TableContext, useTable } from './table/tableContext.ts';
import { useFigureShown } from './table/useFigureShown.ts';
import { useOpenTable } from './table/useOpenTable.ts';
import { type Writing, WRITING_WORDS } from './table/writing.ts';
import { TablePanels, type TableSheet } from './TablePanels.tsx';
import { TrayPanel } from './TrayPanel.tsx';
import { WritingPanel } from './WritingPanel.tsx';
import styles from './WorkTable.module.css';

interface WorkTableProps {
  stored: StoredPattern;
  fibres: readonly Fibre[];
  wool: Wool;
}

/** A pattern being written: its pieces to scale, the list being written, and what one make takes. */
export function WorkTable({ stored, fibres, wool }: WorkTableProps) {
  const store = useOpenTable(stored, fibres, wool);
  return (
    <TableContext value={store}>
      <TableKeys />
      <OnTable stored={stored} />
    </TableContext>
  );
}

/** What is open on the table: a list, in it a part or a step. */
function OnTable({ stored }: { stored: StoredPattern }) {
  const firstPartId = useTable((table) => table.document.parts[0]?.id ?? null);
  const [params] = useSearchParams();
  const askedStepId = params.get('step');
  const [writing, setWriting] = useState<Writing>(askedStepId === null ? 'parts' : 'steps');
  // What is turned to comes whole, its code with it: a list that moves under a hand takes a press for another.
  const shown = useDeferredValue(writing);
  const [openPartId, setOpenPartId] = useState<string | null>(params.get('part') ?? firstPartId);
  const [openStepId, setOpenStepId] = useState<string | null>(askedStepId);
  // While a hand pulls a size, the grams and the drawing keep up with it; the list follows when there is a moment.
  const [isPulling, setPulling] = useState(false);
  const choosePart = useCallback((partId: string | null) => {
    setOpenPartId(partId);
    setWriting('parts');
  }, []);
  const openStep = useCallback((stepId: string) => {
    setOpenStepId(stepId);
    setWriting('steps');
  }, []);
  const [figureShown, setFigureShown] = useFigureShown();
  const showTogether = useCallback(() => {
    setFigureShown('together');
    // Where needles are looked at there is no figure.
    setWriting((before) => (before === 'needles' ? 'parts' : before));
  }, [setFigureShown]);
  const ledger = {
    id: 'ledger',
    name: 'What it takes',
    share: 24,
    leastPx: 284,
    content: (
      <Ledger
        stored={stored}
        onChoosePart={choosePart}
        onShow={setWriting}
        onOpenStep={openStep}
        onTogether={showTogether}
      />
    ),
  };
  const sheets: readonly TableSheet[] =
    shown === 'needles'
      ? [
          {
            id: 'needles',
            name: 'Needles',
            share: 76,
            leastPx: 500,
            content: (
              <div className={styles.needles}>
                <NeedlesView
                  patternId={stored.id}
                  onOpenStep={openStep}
                  onClose={() => setWriting('steps')}
                />
              </div>
            ),
          },
          ledger,
        ]
      : [
          {
            id: 'figure',
            name: 'Figure',
            share: 32,
            leastPx: 300,
            content: (
              <TrayPanel
                chosenId={openPartId}
                onChoose={choosePart}
                onHold={setPulling}
                isWithSteps={shown === 'steps'}
                onOpenStep={openStep}
                shown={figureShown}
                onShown={setFigureShown}
              />
            ),
          },
          {
            id: 'writing',
            name: WRITING_WORDS[shown],
            share: 44,
            leastPx: 380,
            content: (
              <WritingPanel
                writing={writing}
                shown={shown}
                onWrite={setWriting}
                openPartId={openPartId}
                onOpenPart={setOpenPartId}
                openStepId={openStepId}
                onOpenStep={setOpenStepId}
                isPulling={isPulling}
              />
            ),
          },
          ledger,
        ];
  return (
    <main className={styles.table}>
      <TableTitle />
      <InTopBar>
        <Saving />
      </InTopBar>
      <PatternHeader stored={stored} />
      <TablePanels sheets={sheets} />
      {shown === 'steps' && (
        <LadderStrip openStepId={openStepId} onOpenStep={openStep} onOpen={() => setWriting('needles')} />
      )}
      <ConflictDialog />
    </main>
  );
}

const Saving = () => <SaveMark state={useTable((table) => table.saveState)} />;

/** Undo, redo and save, wherever the cursor is. */
function TableKeys() {
  const undo = useTable((table) => table.undo);
  const redo = useTable((table) => table.redo);
  const settle = useTable((table) => table.settle);
  useUndoKeys({ undo, redo });
  useHotkeys('mod+s', () => void settle(), { enableOnFormTags: true, preventDefault: true });
  return null;
}

function TableTitle() {
  const title = useTable((table) => table.document.title);
  useEffect(() => {
    window.document.title = `${title} · Lanakit`;
    return () => {
      window.document.title = 'Lanakit';
    };
  }, [title]);
  // What the page is of: its field says the same to whoever sees it.
  return <h1 className="visually-hidden">{title}</h1>;
}

const NeedlesView = lazy(async () => ({ default: (await import('./needles/NeedlesView.tsx')).NeedlesView }));
const LadderStrip = lazy(async () => ({ default: (await import('./needles/LadderStrip.tsx')).LadderStrip }));
