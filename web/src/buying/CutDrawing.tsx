import type { CutStock } from '@lanakit/core/cutting';
import { cutSizeMm } from '../words/buyingWords.ts';
import styles from './Cutting.module.css';

interface CutDrawingProps {
  stock: CutStock;
  /** What is longest here fills the width. */
  longestMm: number;
  numberOf: (key: string) => number;
  colour: string | null;
}

const WIDTH = 620;
const STICK_HEIGHT = 26;

/** A stick or sheet to scale: its pieces by number, what is kept, what is wasted, and where the blade goes. */
export function CutDrawing({ stock, longestMm, numberOf, colour }: CutDrawingProps) {
  const scale = WIDTH / longestMm;
  const isStick = stock.widthMm === 0;
  const height = isStick ? STICK_HEIGHT : stock.widthMm * scale;
  const width = stock.lengthMm * scale;
  return (
    <svg
      viewBox={`-1 -1 ${WIDTH + 2} ${height + 2}`}
      width="100%"
      className={styles.drawing}
      role="img"
      aria-label={spoken(stock, numberOf)}
    >
      <rect width={width} height={height} className={styles.waste} />
      {stock.parts.map((part, at) => {
        const [x, y] = [part.xMm * scale, part.yMm * scale];
        const [w, h] = [part.lengthMm * scale, isStick ? height : part.widthMm * scale];
        const isPiece = part.kind === 'piece';
        return (
          <g key={at}>
            {isPiece && part.outline && (
              <polygon
                points={part.outline.map(([px, py]) => `${px * scale},${py * scale}`).join(' ')}
                className={styles.piece}
                fill={colour ?? 'var(--chosen)'}
              />
            )}
            {((isPiece && !part.outline) || part.isKept) && (
              <rect
                x={x}
                y={y}
                width={w}
                height={h}
                className={isPiece ? styles.piece : styles.kept}
                {...(isPiece && { fill: colour ?? 'var(--chosen)' })}
              />
            )}
            {part.isKept && w > 70 && (
              <text x={x + w / 2} y={y + h / 2} className={styles.keptWords}>
                keep {cutSizeMm(part.lengthMm, part.widthMm)}
              </text>
            )}
          </g>
        );
      })}
      {numbersOn(stock).map(({ key, xMm, yMm, lengthMm, widthMm, times }) => (
        <text
          key={`${xMm} ${yMm}`}
          x={(xMm + lengthMm / 2) * scale}
          y={isStick ? height / 2 : (yMm + widthMm / 2) * scale}
          className={styles.number}
        >
          {times > 1 ? `${times} × ${numberOf(key)}` : numberOf(key)}
        </text>
      ))}
      {stock.cuts.map(({ blade, xMm, yMm, spanMm }, at) =>
        blade === 'across' ? (
          <line
            key={at}
            x1={xMm * scale}
            x2={xMm * scale}
            y1={yMm * scale - (isStick ? 1 : 0)}
            y2={isStick ? height + 1 : (yMm + spanMm) * scale}
            className={styles.blade}
          />
        ) : (
          <line
            key={at}
            x1={xMm * scale}
            x2={(xMm + spanMm) * scale}
            y1={yMm * scale}
            y2={yMm * scale}
            className={styles.blade}
          />
        ),
      )}
      <rect width={width} height={height} className={styles.edge} />
    </svg>
  );
}

function spoken({ parts }: CutStock, numberOf: (key: string) => number): string {
  const pieces = parts.flatMap(({ kind, key }) => (kind === 'piece' ? [numberOf(key ?? '')] : []));
  const kept = parts.filter(({ isKept }) => isKept).map(({ lengthMm }) => `${Math.round(lengthMm)} mm kept`);
  return [`pieces ${pieces.join(', ')}`, ...kept].join('; ');
}

/** Narrower than this a number would not stand on its piece: alike neighbours have one together. */
const NARROW_PART = 1 / 34;

/** Where numbers stand: on each piece, or once on a row of narrow ones. */
function numbersOn({ parts, lengthMm }: CutStock) {
  const numbers: {
    key: string;
    xMm: number;
    yMm: number;
    lengthMm: number;
    widthMm: number;
    times: number;
  }[] = [];
  for (const { kind, key, ...part } of parts) {
    if (kind !== 'piece' || key === null) continue;
    const last = numbers.at(-1);
    const isNext = last?.key === key && last.yMm === part.yMm && part.xMm > last.xMm;
    if (last && isNext && part.lengthMm < lengthMm * NARROW_PART) {
      last.lengthMm = part.xMm + part.lengthMm - last.xMm;
      last.times += 1;
    } else numbers.push({ key, ...part, times: 1 });
  }
  return numbers;
}
