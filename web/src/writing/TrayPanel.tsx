import { type View, VIEWS, withSize } from '@lanakit/core/shapes';
import { sizeWords } from '@lanakit/core/words';
import { Checkbox, Segmented, Select } from 'antd';
import { lazy, memo, Suspense, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { type Piece, piecesOf } from '@lanakit/core/figure';
import { PieceTray } from '../figure/PieceTray.tsx';
import type { PullSize } from '../figure/SizeHandles.tsx';
import { LifeLines } from './steps/LifeLines.tsx';
import type { Shown } from './table/keptShown.ts';
import { useTable } from './table/tableContext.ts';
import styles from './WorkTable.module.css';

const VIEW_WORDS: Readonly<Record<View, string>> = { front: 'front', side: 'side', top: 'above' };

/** Opened, the words and the grams are there first. */
const NOT_YET: readonly Piece[] = [];

interface TrayPanelProps {
  chosenId: string | null;
  onChoose: (partId: string | null) => void;
  /** A hand has taken hold of a size, or let go. */
  onHold: (isHeld: boolean) => void;
  isWithSteps: boolean;
  onOpenStep: (stepId: string) => void;
  shown: Shown;
  onShown: (shown: Shown) => void;
}

const SHOWN_WORDS: Readonly<Record<Shown, string>> = { pieces: 'Pieces', together: 'Together' };

/** The pieces side by side, or the figure together. */
export const TrayPanel = memo(function TrayPanel(props: TrayPanelProps) {
  const { isWithSteps, onOpenStep, shown, onShown, ...tray } = props;
  const turn = (
    <Segmented<Shown>
      size="small"
      aria-label="Drawn"
      value={shown}
      options={[
        { value: 'pieces', label: 'side by side' },
        { value: 'together', label: 'together' },
      ]}
      onChange={onShown}
    />
  );
  return (
    <section className={`sheet ${styles.tray}`} aria-label={SHOWN_WORDS[shown]}>
      <div className={styles.trayHeading}>
        <h2>{SHOWN_WORDS[shown]}</h2>
        {turn}
      </div>
      {shown === 'pieces' ? (
        <PiecesApart {...tray} />
      ) : (
        <Suspense>
          <TogetherPanel {...tray} />
        </Suspense>
      )}
      {isWithSteps && <LaterLifeLines onOpen={onOpenStep} />}
    </section>
  );
});

const TogetherPanel = lazy(async () => ({
  default: (await import('./together/TogetherPanel.tsx')).TogetherPanel,
}));

/** The pieces to scale, from one side, whole or cut open. */
function PiecesApart({
  chosenId,
  onChoose,
  onHold,
}: Pick<TrayPanelProps, 'chosenId' | 'onChoose' | 'onHold'>) {
  const [isCutAway, setCutAway] = useState(false);
  const [showJoins, setShowJoins] = useState(true);
  const [side, setSide] = useState<View>('front');
  const unit = useTable((table) => table.document.lengthUnit);
  const joins = useTable((table) => table.build.joins);
  const isEmpty = useTable((table) => table.document.parts.length === 0);
  const pieces = useDrawnPieces(side);
  const pullSize = usePullSize();
  return (
    <>
      <div className={styles.looks}>
        <Select<View>
          aria-label="Seen from"
          size="small"
          value={side}
          popupMatchSelectWidth={false}
          options={VIEWS.map((view) => ({ value: view, label: VIEW_WORDS[view] }))}
          onChange={setSide}
        />
        <Checkbox checked={isCutAway} onChange={(event) => setCutAway(event.target.checked)}>
          Cut open
        </Checkbox>
        <Checkbox checked={showJoins} onChange={(event) => setShowJoins(event.target.checked)}>
          Joins
        </Checkbox>
      </div>
      <p className={`quiet small ${styles.legend}`}>
        sizes and outlines are finished; dashed: rolled or laid out · {unit === 'mm' ? 'cm' : 'inches'}
      </p>
      {pieces.length > 0 ? (
        <PieceTray
          pieces={pieces}
          joins={joins}
          isCutAway={isCutAway}
          showJoins={showJoins}
          onPull={pullSize}
          onHold={onHold}
          unit={unit}
          chosenId={chosenId}
          onChoose={onChoose}
        />
      ) : (
        isEmpty && (
          <p className={`quiet ${styles.empty}`}>Parts are drawn here as you write them, all to one scale.</p>
        )
      )}
    </>
  );
}

/** Of parts alone: words that are typed draw nothing anew. The grams come first; the drawing follows when there is a moment. */
function useDrawnPieces(side: View): readonly Piece[] {
  const parts = useTable((table) => table.build.parts);
  const estimates = useTable((table) => table.estimate.parts);
  const all = useTable((table) => table.document.parts);
  const shelf = useTable((table) => table.shelf);
  const pieces = useMemo(
    () => piecesOf({ parts }, { parts: estimates }, shelf, side, { parts: all }),
    [parts, estimates, shelf, side, all],
  );
  return useDeferredValue(pieces, NOT_YET);
}

function usePullSize(): PullSize {
  const edit = useTable((table) => table.edit);
  return useCallback<PullSize>(
    (partId, name, size) =>
      edit(
        `the ${sizeWords(name)}`,
        (draft) => {
          const part = draft.parts.find(({ id }) => id === partId);
          if (part) part.shape = withSize(part.shape, name, size);
        },
        `${partId}.${name}`,
      ),
    [edit],
  );
}

function LaterLifeLines({ onOpen }: { onOpen: (stepId: string) => void }) {
  const document = useDeferredValue(useTable((table) => table.document));
  return <LifeLines document={document} onOpen={onOpen} />;
}
