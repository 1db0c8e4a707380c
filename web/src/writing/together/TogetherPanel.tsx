import { UPRIGHT } from '@lanakit/core/pattern';
import {
  ABOVE,
  cameraOf,
  fitsOf,
  FRONT,
  type LookFrom,
  SIDE,
  TURN_STEP_DEG,
  turningRoom,
} from '@lanakit/core/figure';
import { Button, Checkbox, Segmented } from 'antd';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { Ruler } from '../../figure/Ruler.tsx';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import { useSize } from '../../figure/useSize.ts';
import { ChosenPiece } from './ChosenPiece.tsx';
import { useTable } from '../table/tableContext.ts';
import { BalanceLines } from './BalanceLines.tsx';
import { type Chosen, graspOf } from './grasp.ts';
import { Enclosures } from './Enclosures.tsx';
import { FigureInHand } from './FigureInHand.tsx';
import { JoinMarks } from './JoinMarks.tsx';
import { nameOfChosen } from './nameOfChosen.ts';
import { PhotoFields } from './PhotoFields.tsx';
import { PhotoImage, PhotoMarks } from './PhotoLayer.tsx';
import { usePhoto } from './photoStore.ts';
import { PlaceFields } from './PlaceFields.tsx';
import { PoseFields } from './PoseFields.tsx';
import { Proportions } from './Proportions.tsx';
import { StanceFields } from './StanceFields.tsx';
import { TellsOfFigure } from './TellsOfFigure.tsx';
import styles from './Together.module.css';
import { usePlaceEdits } from './usePlaceEdits.ts';
import { usePose } from './usePose.ts';
import { useFigureTells, useTogether } from './useTogether.ts';
import { type Turntable, useTurntable } from './useTurntable.ts';

interface TogetherPanelProps {
  chosenId: string | null;
  onChoose: (partId: string | null) => void;
  onHold: (isHeld: boolean) => void;
}

const LOOKS = { front: FRONT, side: SIDE, above: ABOVE } as const;
type LookName = keyof typeof LOOKS;

/** The figure together: to be turned, moved about, and told of. */
export function TogetherPanel({ chosenId, onChoose, onHold }: TogetherPanelProps) {
  const isLying = useTable((table) => table.document.stance?.rests === 'lies');
  // What lies is looked at from above, until somebody looks otherwise.
  const [from, setFrom] = useState<LookFrom>(isLying ? ABOVE : FRONT);
  const [showBalance, setShowBalance] = useState(true);
  const [isCutOpen, setCutOpen] = useState(false);
  const [showJoins, setShowJoins] = useState(false);
  const looked = usePose();
  const { build, pose } = looked;
  const { together, drawn } = useTogether(build, from, isCutOpen);
  const tells = useFigureTells(together, build);
  const edits = usePlaceEdits(pose?.id ?? null);
  const [detailKey, setDetailKey] = useState<string | null>(null);
  const [pieceKey, setPieceKey] = useState<string | null>(null);
  const unit = useTable((table) => table.document.lengthUnit);
  const wool = useTable((table) => table.wool);
  const chosen = useMemo(
    () => chosenOf(together.figure.pieces, { detailKey, pieceKey, chosenId }),
    [together, detailKey, pieceKey, chosenId],
  );
  const choose = useCallback(
    (next: Chosen | null, partId: string | null) => {
      setDetailKey(next?.kind === 'detail' ? next.key : null);
      setPieceKey(next?.kind === 'piece' ? next.key : null);
      onChoose(partId);
    },
    [onChoose],
  );
  const grasp = graspOf(together, chosen);
  const { id = '' } = useParams();
  const photo = usePhoto(id);
  const paint = useCallback(
    (canvas: HTMLCanvasElement) => {
      const tokens = getComputedStyle(canvas);
      return {
        lookOf: (fibreId: string | null) => (fibreId === null ? null : (wool.fibres.get(fibreId) ?? null)),
        ink: tokens.getPropertyValue('--ink'),
        paper: tokens.getPropertyValue('--paper'),
        red: tokens.getPropertyValue('--red'),
      };
    },
    [wool],
  );
  const turntable = useTurntable({ together, parts: build.parts, from, paint, onRest: setFrom });
  const isRoot = chosen?.kind === 'piece' && grasp === null;
  return (
    <>
      <Looks from={from} onLook={setFrom} turntable={turntable}>
        <Checkbox checked={isCutOpen} onChange={(event) => setCutOpen(event.target.checked)}>
          Cut open
        </Checkbox>
        <Checkbox checked={showJoins} onChange={(event) => setShowJoins(event.target.checked)}>
          Joins
        </Checkbox>
        <Checkbox checked={showBalance} onChange={(event) => setShowBalance(event.target.checked)}>
          Balance
        </Checkbox>
      </Looks>
      <FigureView together={together} from={from} turntable={turntable} onHold={onHold}>
        {(scale, hold) => (
          <>
            {photo.held && <PhotoImage held={photo.held} at={scale} onChange={photo.put} />}
            <FigureInHand
              together={together}
              drawn={drawn}
              camera={cameraOf(from)}
              at={scale}
              chosen={chosen}
              grasp={grasp}
              edits={edits}
              onChoose={choose}
              onHold={hold}
            />
            {showJoins && <JoinMarks together={together} camera={cameraOf(from)} at={scale} />}
            {showBalance && <BalanceLines tells={tells} camera={cameraOf(from)} at={scale} />}
            {photo.held?.isSetting && <PhotoMarks held={photo.held} at={scale} onChange={photo.put} />}
          </>
        )}
      </FigureView>
      <div className={styles.tells}>
        <PoseFields looked={looked} />
        {/* What is in hand comes before what the whole tells. */}
        {chosen && (
          <ChosenPiece partId={chosenId}>
            {nameOfChosen(together, chosen, build, wool)}
            {grasp?.isProposed && <span className="quiet"> · proposed</span>}
          </ChosenPiece>
        )}
        {grasp && <PlaceFields grasp={grasp} pair={pairOf(together, chosen)} edits={edits} />}
        <TellsOfFigure together={together} build={build} tells={tells} edits={edits} />
        {isRoot && (
          <StanceFields edits={edits} stance={build.stance ?? UPRIGHT} straightFrom={tells.straightFrom} />
        )}
        <PhotoFields
          held={photo.held}
          figureMm={tells.size?.heightMm ?? 100}
          onPut={photo.put}
          onTakeAway={photo.takeAway}
        />
        <Proportions together={together} />
        <Enclosures together={together} />
        <p className="quiet small">
          Drag beside the figure to turn it, or a piece along its host; or arrows{' '}
          {unit === 'mm' ? '1 mm' : '1⁄16 in'}; Shift and arrows lean it 5°; [ and ] turn it; + and − sink it.
        </p>
      </div>
    </>
  );
}

function pairOf({ details }: Parameters<typeof graspOf>[0], chosen: Chosen | null) {
  const fit = fitsOf(details).find(({ detail }) => chosen?.kind === 'detail' && detail.key === chosen.key);
  return fit?.kind === 'pair' ? fit : null;
}

interface ChosenKeys {
  readonly detailKey: string | null;
  readonly pieceKey: string | null;
  /** The part that is open beside. */
  readonly chosenId: string | null;
}

function chosenOf(
  pieces: readonly { readonly key: string; readonly partId: string }[],
  { detailKey, pieceKey, chosenId }: ChosenKeys,
): Chosen | null {
  if (detailKey !== null) return { kind: 'detail', key: detailKey };
  const piece =
    pieces.find(({ key, partId }) => key === pieceKey && (chosenId === null || partId === chosenId)) ??
    pieces.find(({ partId }) => partId === chosenId);
  return piece ? { kind: 'piece', key: piece.key } : null;
}

function Looks({
  from,
  onLook,
  turntable,
  children,
}: {
  from: LookFrom;
  onLook: (from: LookFrom) => void;
  turntable: Turntable;
  children: React.ReactNode;
}) {
  const turnDeg = from.kind === 'round' ? from.turnDeg : 0;
  const name: LookName | null =
    from.kind === 'above' ? 'above' : turnDeg === 0 ? 'front' : turnDeg === 90 ? 'side' : null;
  return (
    <div className={styles.looks}>
      <Segmented<LookName | 'turned'>
        size="small"
        aria-label="Seen from"
        value={name ?? 'turned'}
        options={[
          { value: 'front', label: 'front' },
          { value: 'side', label: 'side' },
          { value: 'above', label: 'above' },
          ...(name === null ? [{ value: 'turned' as const, label: `${turnDeg}°` }] : []),
        ]}
        onChange={(look) => {
          if (look === 'turned') return;
          const next = LOOKS[look];
          if (next.kind === 'round') turntable.turnTo(next.turnDeg);
          else onLook(next);
        }}
      />
      <Button size="small" aria-label="Turn it to its right" onClick={() => turntable.turnBy(-TURN_STEP_DEG)}>
        ↶ 15°
      </Button>
      <Button size="small" aria-label="Turn it to its left" onClick={() => turntable.turnBy(TURN_STEP_DEG)}>
        15° ↷
      </Button>
      {children}
    </div>
  );
}

const RULER = 22;
const MARGIN = 14;
const SCALES = { least: 0.2, most: 5 };

interface FigureViewProps {
  together: Parameters<typeof graspOf>[0];
  from: LookFrom;
  turntable: Turntable;
  onHold: (isHeld: boolean) => void;
  children: (at: DrawingScale, hold: (isHeld: boolean) => void) => React.ReactNode;
}

/** The figure between true rulers, at one scale however it is turned. */
function FigureView({ together, from, turntable, onHold, children }: FigureViewProps) {
  const unit = useTable((table) => table.document.lengthUnit);
  const [box, size] = useSize();
  const { radiusMm, topMm } = useMemo(() => turningRoom(together.figure), [together]);
  const [width, height] = [size.width - RULER, size.height - RULER];
  const tallMm = Math.max(10, topMm, 2 * radiusMm);
  const room = Math.min((width - 2 * MARGIN) / Math.max(10, 2 * radiusMm), (height - 2 * MARGIN) / tallMm);
  // While a hand pulls, the figure under it is not made larger or smaller.
  const [heldScale, setHeldScale] = useState<number | null>(null);
  const pxPerMm = heldScale ?? Math.min(SCALES.most, Math.max(SCALES.least, room));
  const hold = (isHeld: boolean) => {
    setHeldScale(isHeld ? pxPerMm : null);
    onHold(isHeld);
  };
  const groundPx = from.kind === 'above' ? RULER + height / 2 : size.height - MARGIN;
  const at: DrawingScale = { leftPx: RULER + width / 2, groundPx, pxPerMm };
  const { onCanvas, onScale, isTurning, hands } = turntable;
  useEffect(() => onScale(at));
  return (
    <div ref={box} className={styles.view}>
      {size.width > 0 && together.figure.pieces.length > 0 && (
        <>
          <Ruler length={width} scale={pxPerMm} unit={unit} offset={RULER} isVertical={false} />
          <Ruler
            length={groundPx - RULER}
            scale={pxPerMm}
            unit={unit}
            offset={RULER}
            isVertical
            isFromBelow
          />
          <canvas ref={onCanvas} className={isTurning ? styles.turning : styles.turned} aria-hidden />
          <svg
            className={`${styles.drawing} ${from.kind === 'round' ? styles.turntable : ''}`}
            width={size.width}
            height={size.height}
            role="group"
            aria-label="The figure together"
            {...hands}
          >
            {from.kind === 'round' && (
              <path
                d={`M${RULER} ${groundPx}H${size.width}`}
                stroke="var(--ink-2)"
                strokeWidth={0.75}
                pointerEvents="none"
              />
            )}
            <g visibility={isTurning ? 'hidden' : undefined}>{children(at, hold)}</g>
          </svg>
        </>
      )}
      {together.figure.pieces.length === 0 && (
        <p className={`quiet ${styles.empty}`}>The figure stands here as soon as a part has its sizes.</p>
      )}
    </div>
  );
}
