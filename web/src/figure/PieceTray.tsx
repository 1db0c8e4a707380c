import { layoutTray, type LengthUnit } from '@lanakit/core';
import { memo, useMemo } from 'react';
import { sizesOfPart } from '../words/partWords.ts';
import { PieceDrawing } from './PieceDrawing.tsx';
import styles from './PieceTray.module.css';
import type { Piece } from './pieces.ts';
import { Ruler } from './Ruler.tsx';
import { useSize } from './useSize.ts';

interface PieceTrayProps {
  pieces: readonly Piece[];
  unit: LengthUnit;
  chosenId: string | null;
  onChoose: (partId: string) => void;
}

const RULER = 22;
const MARGIN = 12;

/** The parts of a figure on the table, to one scale, between true rulers; choosing one here chooses it everywhere. */
export const PieceTray = memo(function PieceTray({ pieces, unit, chosenId, onChoose }: PieceTrayProps) {
  const [box, size] = useSize();
  const tray = useMemo(() => {
    const boxes = pieces.map(({ part, widthMm, heightMm }) => ({ id: part.id, widthMm, heightMm }));
    return layoutTray(boxes, {
      width: Math.max(80, size.width - RULER - 2 * MARGIN),
      height: Math.max(80, size.height - RULER - 2 * MARGIN),
      gap: 12,
      labelHeight: 40,
      labelWidth: 104,
      minScale: 0.5,
      maxScale: 4,
    });
  }, [pieces, size.width, size.height]);
  const innerHeight = Math.max(size.height, tray.height + RULER + 2 * MARGIN);
  return (
    <div ref={box} className={styles.tray}>
      {size.width > 0 && (
        <div style={{ position: 'relative', height: innerHeight }}>
          <Ruler
            length={size.width - RULER}
            scale={tray.scale}
            unit={unit}
            offset={RULER}
            isVertical={false}
          />
          <Ruler length={innerHeight - RULER} scale={tray.scale} unit={unit} offset={RULER} isVertical />
          {tray.pieces.map((placed) => {
            const piece = pieces.find(({ part }) => part.id === placed.id);
            if (!piece) return null;
            const isChosen = placed.id === chosenId;
            const [width, height] = [piece.widthMm * tray.scale, piece.heightMm * tray.scale];
            const cell = Math.max(104, width);
            return (
              <button
                key={placed.id}
                type="button"
                className={`${styles.piece} ${isChosen ? styles.chosen : ''}`}
                aria-pressed={isChosen}
                style={{
                  left: RULER + MARGIN + placed.centreX - cell / 2,
                  top: RULER + MARGIN + placed.top,
                  width: cell,
                  height: placed.labelTop - placed.top + 38,
                }}
                onClick={() => onChoose(placed.id)}
              >
                <span className={styles.drawing} style={{ height }}>
                  <PieceDrawing piece={piece} scale={tray.scale} isChosen={isChosen} />
                </span>
                <span className={styles.label} style={{ top: placed.labelTop - placed.top }}>
                  <span className={styles.name}>
                    <span className={styles.number}>{piece.number}</span>
                    {piece.part.name || 'Unnamed'}
                    {piece.part.count > 1 && ` ×${piece.part.count}`}
                  </span>
                  <span className={styles.sizes}>{sizesOfPart(piece.part)}</span>
                </span>
              </button>
            );
          })}
        </div>
      )}
    </div>
  );
});
