import type { LengthUnit } from '@lanakit/core/base';
import { layoutTray, type Tray } from '@lanakit/core/figure';
import type { Join } from '@lanakit/core/pattern';
import { memo, useMemo, useState } from 'react';
import { sizesOfPart } from '../words/partWords.ts';
import { timesWords } from '../words/show.ts';
import { JoinLines } from './JoinLines.tsx';
import { PieceDrawing } from './PieceDrawing.tsx';
import styles from './PieceTray.module.css';
import type { Piece } from '@lanakit/core/figure';
import { Ruler } from './Ruler.tsx';
import { SizeHandles, type PullSize } from './SizeHandles.tsx';
import { useSize } from './useSize.ts';

interface PieceTrayProps {
  pieces: readonly Piece[];
  joins: readonly Join[];
  unit: LengthUnit;
  chosenId: string | null;
  isCutAway: boolean;
  showJoins: boolean;
  onChoose: (partId: string) => void;
  onPull: PullSize;
  /** A hand takes hold of a size, and lets it go. */
  onHold: (isHeld: boolean) => void;
}

const RULER = 22;
const MARGIN = 12;
const SCALES = { least: 0.5, most: 4 };
/** Number, name and sizes; number and name; the number alone. */
const LABELS = [
  { widthPx: 104, heightPx: 38 },
  { widthPx: 78, heightPx: 20 },
  { widthPx: 24, heightPx: 21 },
] as const;
const GAP = 10;

/** The parts of a figure on the table, to one scale, between true rulers; choosing one here chooses it everywhere. */
export const PieceTray = memo(function PieceTray(props: PieceTrayProps) {
  const { pieces, joins, unit, chosenId, isCutAway, showJoins, onChoose, onPull, onHold } = props;
  const [box, size] = useSize();
  // While a hand pulls a size, nothing else on the table moves.
  const [held, setHeld] = useState<Tray | null>(null);
  const laid = useMemo(() => {
    const boxes = pieces.map(({ part, widthMm, heightMm }) => ({ id: part.id, widthMm, heightMm }));
    return layoutTray(boxes, {
      widthPx: Math.max(80, size.width - RULER - 2 * MARGIN),
      heightPx: Math.max(80, size.height - RULER - 2 * MARGIN),
      gapPx: GAP,
      labels: LABELS,
      minPxPerMm: SCALES.least,
      maxPxPerMm: SCALES.most,
    });
  }, [pieces, size.width, size.height]);
  const tray = held ? keptInPlace(held, pieces) : laid;
  const label = LABELS[tray.label] ?? LABELS[0];
  const innerHeight = Math.max(size.height, tray.heightPx + RULER + 2 * MARGIN);
  return (
    <div ref={box} className={styles.tray}>
      {size.width > 0 && (
        <div style={{ position: 'relative', height: innerHeight }}>
          <Ruler
            length={size.width - RULER}
            scale={tray.pxPerMm}
            unit={unit}
            offset={RULER}
            isVertical={false}
          />
          <Ruler length={innerHeight - RULER} scale={tray.pxPerMm} unit={unit} offset={RULER} isVertical />
          <div className={styles.table} style={{ left: RULER + MARGIN, top: RULER + MARGIN }}>
            {showJoins && joins.length > 0 && (
              <JoinLines
                joins={joins}
                pieces={pieces}
                tray={tray}
                width={size.width - RULER - 2 * MARGIN}
                height={tray.heightPx}
                chosenId={chosenId}
              />
            )}
            {pieces.map((piece) => {
              const placed = tray.pieces.find(({ id }) => id === piece.part.id);
              if (!placed) return null;
              const isChosen = placed.id === chosenId;
              const cell = Math.max(label.widthPx, piece.widthMm * tray.pxPerMm);
              const labelTop = placed.labelTopPx - placed.topPx;
              return (
                <div
                  key={placed.id}
                  className={styles.place}
                  style={{
                    left: placed.centreXPx - cell / 2,
                    top: placed.topPx,
                    width: cell,
                    height: labelTop + label.heightPx,
                  }}
                >
                  <PieceButton
                    piece={piece}
                    scale={tray.pxPerMm}
                    labelTop={labelTop}
                    isChosen={isChosen}
                    label={tray.label}
                    isCutAway={isCutAway}
                    onChoose={onChoose}
                  />
                  {isChosen && (
                    <div className={styles.grips} style={{ width: piece.widthMm * tray.pxPerMm }}>
                      <SizeHandles
                        piece={piece}
                        scale={tray.pxPerMm}
                        onPull={onPull}
                        onHold={(isHeld) => {
                          setHeld(isHeld ? tray : null);
                          onHold(isHeld);
                        }}
                      />
                    </div>
                  )}
                </div>
              );
            })}
          </div>
        </div>
      )}
    </div>
  );
});

/** While a size is pulled every piece stays where it lies; what it is called goes down with its foot. */
const keptInPlace = (held: Tray, pieces: readonly Piece[]): Tray => ({
  ...held,
  pieces: held.pieces.map((placed) => {
    const heightMm = pieces.find(({ part }) => part.id === placed.id)?.heightMm;
    return heightMm === undefined
      ? placed
      : { ...placed, labelTopPx: placed.topPx + heightMm * held.pxPerMm + GAP / 3 };
  }),
});

interface PieceButtonProps {
  piece: Piece;
  scale: number;
  labelTop: number;
  /** How much of what it is called there is room for. */
  label: number;
  isChosen: boolean;
  isCutAway: boolean;
  onChoose: (partId: string) => void;
}

/** One piece with its name and sizes; drawn anew only when it changes itself. */
const PieceButton = memo(function PieceButton({
  piece,
  scale,
  labelTop,
  label,
  isChosen,
  isCutAway,
  onChoose,
}: PieceButtonProps) {
  const { part, number } = piece;
  return (
    <button
      type="button"
      className={`${styles.piece} ${isChosen ? styles.chosen : ''}`}
      aria-pressed={isChosen}
      aria-label={label > 1 ? part.name || 'Unnamed' : undefined}
      title={
        label > 0 ? `${part.name || 'Unnamed'}${timesWords(part.count)}: ${sizesOfPart(part)}` : undefined
      }
      onClick={() => onChoose(part.id)}
    >
      <span className={styles.drawing} style={{ height: piece.heightMm * scale }}>
        <PieceDrawing piece={piece} scale={scale} isChosen={isChosen} isCutAway={isCutAway} />
      </span>
      <span className={styles.label} style={{ top: labelTop }}>
        <span className={styles.name}>
          <span className={styles.number}>{number}</span>
          {label < 2 && (
            <>
              {part.name || 'Unnamed'}
              {timesWords(part.count)}
            </>
          )}
        </span>
        {label < 1 && <span className={styles.sizes}>{sizesOfPart(part)}</span>}
      </span>
    </button>
  );
});
