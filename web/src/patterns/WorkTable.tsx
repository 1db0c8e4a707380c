import {
  checkPattern,
  estimatePattern,
  type Fibre,
  type FibreLookup,
  type StoredPattern,
  strangeFibres,
} from '@lanakit/core';
import { Segmented } from 'antd';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { SaveMark } from '../draft/SaveMark.tsx';
import { useDraft } from '../draft/useDraft.ts';
import { piecesOf } from '../figure/pieces.ts';
import { PieceTray } from '../figure/PieceTray.tsx';
import { InTopBar } from '../shell/TopSlot.tsx';
import { counted } from '../words/show.ts';
import { ConflictDialog } from './ConflictDialog.tsx';
import { Ledger } from './Ledger.tsx';
import { PartsList } from './PartsList.tsx';
import { PatternHeader } from './PatternHeader.tsx';
import { StepsList } from './StepsList.tsx';
import { TableContext, type TableView } from './tableContext.ts';
import styles from './WorkTable.module.css';

interface WorkTableProps {
  stored: StoredPattern;
  fibres: readonly Fibre[];
  shelf: FibreLookup;
}

type Writing = 'parts' | 'steps';

/** A pattern being written: its pieces to scale, the list being written, and what one make takes. */
export function WorkTable({ stored, fibres, shelf }: WorkTableProps) {
  const draft = useDraft(stored);
  const { document } = draft;
  const [writing, setWriting] = useState<Writing>('parts');
  const [openPartId, setOpenPartId] = useState<string | null>(document.parts[0]?.id ?? null);
  const estimate = useMemo(() => estimatePattern(document, shelf), [document, shelf]);
  const pieces = useMemo(() => piecesOf(document, estimate, shelf), [document, estimate, shelf]);
  // The grams come first; the drawing follows when there is a moment.
  const drawnPieces = useDeferredValue(pieces);
  const problems = useMemo(
    () => [...checkPattern(document), ...strangeFibres(document, (id) => shelf.has(id))],
    [document, shelf],
  );
  const view: TableView = { draft, estimate, problems, fibres, shelf };

  const keys = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', draft.undo, keys);
  useHotkeys(['mod+shift+z', 'mod+y'], draft.redo, keys);
  useHotkeys('mod+s', () => void draft.settle(), keys);
  useEffect(() => {
    window.document.title = `${document.title} · Lanakit`;
    return () => {
      window.document.title = 'Lanakit';
    };
  }, [document.title]);

  const choosePart = useCallback((partId: string | null) => {
    setOpenPartId(partId);
    setWriting('parts');
  }, []);
  return (
    <TableContext value={view}>
      <main className={styles.table}>
        <InTopBar>
          <SaveMark state={draft.saveState} />
        </InTopBar>
        <PatternHeader stored={stored} />
        <section className={`sheet ${styles.tray}`} aria-label="Pieces">
          <div className={styles.trayHeading}>
            <h2>Pieces</h2>
            <span className="quiet small">
              to one scale, {document.lengthUnit === 'mm' ? 'cm' : 'inches'} · dashed: before felting
            </span>
          </div>
          {drawnPieces.length > 0 ? (
            <PieceTray
              pieces={drawnPieces}
              unit={document.lengthUnit}
              chosenId={openPartId}
              onChoose={choosePart}
            />
          ) : (
            <p className={`quiet ${styles.empty}`}>
              Parts are drawn here as you write them, all to one scale.
            </p>
          )}
        </section>
        <section className={`sheet ${styles.writing}`} aria-label={writing === 'parts' ? 'Parts' : 'Steps'}>
          <div className={styles.writingHeading}>
            <Segmented<Writing>
              value={writing}
              onChange={setWriting}
              aria-label="What to write"
              options={[
                { value: 'parts', label: counted(document.parts.length, 'part') },
                { value: 'steps', label: counted(document.steps.length, 'step') },
              ]}
            />
            <span className="quiet small">
              {draft.undoLabel !== null && `Ctrl Z takes back: ${draft.undoLabel}`}
            </span>
          </div>
          {writing === 'parts' ? <PartsList openId={openPartId} onOpen={setOpenPartId} /> : <StepsList />}
        </section>
        <Ledger stored={stored} onChoosePart={choosePart} onShowSteps={() => setWriting('steps')} />
        <ConflictDialog />
      </main>
    </TableContext>
  );
}
