import type { DrawnFigure, DrawnMark, DrawnPiece } from '@lanakit/core/figure';
import { Fragment, memo, type SVGProps, useId } from 'react';
import { FibrePattern } from '../ui/look/FibrePattern.tsx';
import type { Woolly } from '../ui/look/fibreTile.ts';

type Point = readonly [number, number];

/** Where a drawing’s 0, 0 lies, px, and how large a millimetre is. */
export interface DrawingScale {
  readonly leftPx: number;
  readonly groundPx: number;
  readonly pxPerMm: number;
}

interface TogetherDrawingProps {
  drawn: DrawnFigure;
  at: DrawingScale;
  lookOf: (fibreId: string | null) => Woolly | null;
  chosenKey?: string | null;
  chosenDetailKey?: string | null;
  /** Parts that are worked on: the others are drawn faint; left out, all are in full. */
  atWork?: ReadonlySet<string>;
  /** What a hand can do with a piece, or with what lies on it. */
  handlesOf?: (piece: DrawnPiece) => SVGProps<SVGGElement>;
  markHandlesOf?: (mark: DrawnMark) => SVGProps<SVGGElement>;
}

const pathOf = (contours: readonly (readonly Point[])[], at: DrawingScale, isOpen = false): string =>
  contours.map((points) => `M${points.map((point) => px(point, at)).join('L')}${isOpen ? '' : 'Z'}`).join('');

const px = ([x, y]: Point, { leftPx, groundPx, pxPerMm }: DrawingScale): string =>
  `${(leftPx + x * pxPerMm).toFixed(1)} ${(groundPx - y * pxPerMm).toFixed(1)}`;

/** A figure together, farthest pieces first, in the fibre that shows on each. */
export function TogetherDrawing({
  drawn,
  at,
  lookOf,
  chosenKey,
  chosenDetailKey,
  atWork,
  handlesOf,
  markHandlesOf,
}: TogetherDrawingProps) {
  const id = useId();
  return (
    <>
      <defs>
        <radialGradient id={`${id}-round`} cx="0.36" cy="0.28" r="0.85">
          <stop offset="0" stopColor="#fff" stopOpacity="0.2" />
          <stop offset="0.5" stopColor="#fff" stopOpacity="0" />
          <stop offset="0.62" stopColor="#000" stopOpacity="0" />
          <stop offset="1" stopColor="#000" stopOpacity="0.34" />
        </radialGradient>
      </defs>
      {drawn.pieces.map((piece) => (
        <Fragment key={piece.key}>
          {piece.behind.map((mark, index) => (
            <g key={`${mark.detailKey} ${index}`} {...markHandlesOf?.(mark)}>
              <Mark
                mark={mark}
                at={at}
                seed={`${piece.key}-behind-${index}`}
                lookOf={lookOf}
                lieDeg={piece.lieDeg}
                isChosen={mark.detailKey === chosenDetailKey}
              />
            </g>
          ))}
          <g {...handlesOf?.(piece)}>
            <Piece
              piece={piece}
              path={pathOf(piece.outline, at)}
              look={lookOf(piece.fibreId)}
              isChosen={piece.key === chosenKey}
              isFaint={atWork !== undefined && atWork.size > 0 && !atWork.has(piece.partId)}
              shadeId={`${id}-round`}
            />
            {piece.layers.length > 0 && <Layers piece={piece} at={at} lookOf={lookOf} />}
          </g>
          {piece.marks.map((mark, index) => (
            <g key={`${mark.detailKey} ${index}`} {...markHandlesOf?.(mark)}>
              <Mark
                mark={mark}
                at={at}
                seed={`${piece.key}-${index}`}
                lookOf={lookOf}
                lieDeg={piece.lieDeg}
                isChosen={mark.detailKey === chosenDetailKey}
              />
            </g>
          ))}
        </Fragment>
      ))}
    </>
  );
}

interface PieceProps {
  piece: DrawnPiece;
  path: string;
  look: Woolly | null;
  isChosen: boolean;
  isFaint: boolean;
  shadeId: string;
}

const Piece = memo(function Piece({ piece, path, look, isChosen, isFaint, shadeId }: PieceProps) {
  const id = useId();
  return (
    <>
      {look && (
        <defs>
          <FibrePattern id={id} fibre={look} seed={piece.partId} isUpright lieDeg={piece.lieDeg} />
        </defs>
      )}
      <path d={path} fillRule="evenodd" fill={look ? `url(#${id})` : 'var(--paper)'} />
      <path
        d={path}
        fillRule="evenodd"
        fill={`url(#${shadeId})`}
        stroke={isChosen ? 'var(--action)' : 'var(--ink)'}
        strokeWidth={isChosen ? 2.5 : 1}
        strokeLinejoin="round"
      />
      {isFaint && <path d={path} fillRule="evenodd" fill="#fff" fillOpacity={0.62} />}
    </>
  );
});

/** The left half cut away: every layer as thick as it is, down to the core. */
function Layers({ piece, at, lookOf }: Pick<MarkProps, 'at' | 'lookOf'> & { piece: DrawnPiece }) {
  const id = useId();
  const xs = piece.outline.flat().map(([x]) => at.leftPx + x * at.pxPerMm);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  return (
    <>
      <clipPath id={`${id}-half`}>
        <rect x={left - 1} y={-5000} width={(right - left) / 2 + 1} height={10_000} />
      </clipPath>
      <g clipPath={`url(#${id}-half)`}>
        {piece.layers.map(({ fibreId, outline }, index) => {
          const look = lookOf(fibreId);
          return (
            <Fragment key={index}>
              {look && (
                <defs>
                  <FibrePattern id={`${id}-${index}`} fibre={look} seed={`${piece.partId}-${index}`} />
                </defs>
              )}
              <path
                d={pathOf(outline, at)}
                fillRule="evenodd"
                fill={look ? `url(#${id}-${index})` : 'var(--paper)'}
                stroke="var(--ink)"
                strokeWidth={0.75}
              />
            </Fragment>
          );
        })}
      </g>
    </>
  );
}

interface MarkProps {
  mark: DrawnMark;
  at: DrawingScale;
  seed: string;
  lookOf: (fibreId: string | null) => Woolly | null;
  lieDeg: number;
  isChosen: boolean;
}

function Mark({ mark, at, seed, lookOf, lieDeg, isChosen }: MarkProps) {
  const id = useId();
  const look = 'fibreId' in mark ? lookOf(mark.fibreId) : null;
  const edge = isChosen ? 'var(--action)' : 'var(--ink)';
  switch (mark.kind) {
    case 'area':
      return (
        <>
          {look && (
            <defs>
              <FibrePattern id={id} fibre={look} seed={seed} isUpright lieDeg={lieDeg} />
            </defs>
          )}
          <path
            d={pathOf([mark.outline], at)}
            fill={look ? `url(#${id})` : 'var(--paper)'}
            stroke={edge}
            strokeOpacity={isChosen ? 1 : 0.35}
            strokeWidth={isChosen ? 2 : 0.5}
          />
        </>
      );
    case 'line':
      return (
        <path
          d={pathOf([mark.points], at, true)}
          fill="none"
          stroke={isChosen ? 'var(--action)' : (look?.colour ?? 'var(--red)')}
          strokeWidth={Math.max(1.25, at.pxPerMm * 0.9)}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
    case 'groove':
      // Drawn in it lies in its own shade, a light edge below.
      return (
        <>
          <path
            d={pathOf([mark.points], { ...at, groundPx: at.groundPx + 1.2 }, true)}
            fill="none"
            stroke="#fff"
            strokeOpacity={0.35}
            strokeWidth={1.5}
          />
          <path
            d={pathOf([mark.points], at, true)}
            fill="none"
            stroke={isChosen ? 'var(--action)' : '#000'}
            strokeOpacity={isChosen ? 1 : 0.55}
            strokeWidth={1.8}
            strokeLinecap="round"
          />
        </>
      );
    case 'hollow':
      return (
        <path
          d={pathOf([mark.outline], at)}
          fill="#000"
          fillOpacity={0.26}
          stroke={isChosen ? 'var(--action)' : '#000'}
          strokeOpacity={isChosen ? 1 : 0.3}
          strokeWidth={isChosen ? 2 : 0.75}
        />
      );
    case 'hair':
      return (
        <path
          d={pathOf(mark.strands, at, true)}
          fill="none"
          stroke={isChosen ? 'var(--action)' : (look?.colour ?? 'var(--red)')}
          strokeWidth={1.25}
          strokeLinecap="round"
        />
      );
    case 'strand': {
      const thickPx = Math.max(1.25, at.pxPerMm * (mark.thickMm ?? 0));
      const path = pathOf([mark.points], at, true);
      // An edge all along, so that pale cord is seen on pale paper.
      return (
        <>
          <path d={path} fill="none" stroke={edge} strokeWidth={thickPx + 1} strokeLinejoin="round" />
          {mark.colour !== null && (
            <path d={path} fill="none" stroke={mark.colour} strokeWidth={thickPx} strokeLinejoin="round" />
          )}
        </>
      );
    }
    case 'thing':
      return (
        <path
          d={pathOf([mark.outline], at)}
          fill={mark.colour ?? 'var(--paper-2)'}
          stroke={edge}
          strokeWidth={isChosen ? 2 : 0.75}
        />
      );
  }
}
