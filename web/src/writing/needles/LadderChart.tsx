import { type Ladder, type LaidStretch, layOut, type Rung } from '@lanakit/core/needles';
import type { Pattern, Stage } from '@lanakit/core/pattern';
import { distinctNeedles, type NeedleWanted, wantedKey } from '@lanakit/core/shelf';
import { STAGE_WORDS, wantedName } from '@lanakit/core/words';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useMemo, useRef, type KeyboardEvent } from 'react';
import { NeedleMark } from '../../ui/NeedleMark.tsx';
import styles from './LadderChart.module.css';
import { numberIn, stretchName } from '../../ui/readout.ts';
import { LadderStretch } from './LadderStretch.tsx';

export interface LadderChartProps {
  ladder: Ladder;
  /** By which its steps are numbered. */
  numbered: Pick<Pattern, 'steps'>;
  /** Sorts that have a rung though no step is on it. */
  alsoRungs?: readonly NeedleWanted[];
  currentId: string | null;
  onRead: (stepId: string) => void;
  onOpen?: (stepId: string) => void;
  /** Left out where it is only looked at. */
  onOverride?: (stepId: string, wanted: NeedleWanted | null) => void;
  isCompact?: boolean;
}

/**
 * The needle ladder: stages from left to right, needles from coarse to fine downwards, each step as long as its minutes.
 * Arrows read along it; Alt with an arrow, or a hand, puts a step on another rung.
 */
export function LadderChart({
  ladder,
  numbered,
  alsoRungs = [],
  currentId,
  onRead,
  onOpen,
  onOverride,
  isCompact = false,
}: LadderChartProps) {
  const track = useRef<HTMLDivElement>(null);
  const laid = useMemo(() => layOut(ladder.path.stretches), [ladder.path]);
  const rows = useMemo(
    () => distinctNeedles([...alsoRungs, ...ladder.rungs.map(({ wanted }) => wanted)]),
    [alsoRungs, ladder.rungs],
  );
  const rowOf = new Map(rows.map((wanted, index) => [wantedKey(wanted), index]));
  const inHand = laid.filter(({ stretch }) => stretch.wanted !== null);
  const reachable = inHand.some(({ stretch }) => stretch.step.id === currentId)
    ? currentId
    : (inHand[0]?.stretch.step.id ?? null);
  const flagged = new Set(ladder.flags.map(({ stepId }) => stepId));
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));

  const focus = (stepId: string) => {
    onRead(stepId);
    track.current?.querySelector<HTMLElement>(`[data-step="${stepId}"]`)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const stepId = (event.target as HTMLElement).dataset['step'];
    const at = inHand.findIndex(({ stretch }) => stretch.step.id === stepId);
    const ownStretch = inHand[at]?.stretch;
    if (stepId === undefined || !ownStretch?.wanted) return;
    const along: Readonly<Record<string, number>> = {
      ArrowLeft: at - 1,
      ArrowRight: at + 1,
      Home: 0,
      End: inHand.length - 1,
    };
    const next = event.altKey ? undefined : inHand[along[event.key] ?? -1];
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const row = rows[(rowOf.get(wantedKey(ownStretch.wanted)) ?? 0) + (step ?? 0)];
    if (next) focus(next.stretch.step.id);
    else if (event.altKey && step !== undefined && row && onOverride) onOverride(stepId, row);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && onOverride) onOverride(stepId, null);
    else if (event.key === 'Enter' && onOpen) onOpen(stepId);
    else return;
    event.preventDefault();
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const row = rows.find((wanted) => wantedKey(wanted) === over?.id);
    onRead(String(active.id));
    if (row && onOverride) onOverride(String(active.id), row);
  };

  return (
    <DndContext sensors={sensors} onDragEnd={onDragEnd}>
      <div className={`${styles.chart} ${isCompact ? styles.compact : ''}`}>
        <div className={styles.names}>
          <span className={styles.end}>coarse</span>
          {rows.map((wanted, index) => (
            <RungName
              key={wantedKey(wanted)}
              wanted={wanted}
              rung={ladder.rungs.find(({ key }) => key === wantedKey(wanted)) ?? null}
              place={index}
            />
          ))}
          <span className={styles.end}>fine</span>
        </div>
        <div className={styles.scroll}>
          <div
            ref={track}
            role="toolbar"
            aria-label="Needle ladder, step by step"
            className={styles.track}
            style={{ minWidth: laid.length * 9 }}
            onKeyDown={onKeyDown}
          >
            <Stages laid={laid} />
            {rows.map((wanted) => (
              <RungLine key={wantedKey(wanted)} id={wantedKey(wanted)} isFixed={!onOverride}>
                {inHand
                  .filter(({ stretch }) => stretch.wanted && wantedKey(stretch.wanted) === wantedKey(wanted))
                  .map((laidStretch) => {
                    const { step } = laidStretch.stretch;
                    const row = rowOf.get(wantedKey(wanted)) ?? 0;
                    const change = ladder.path.changes.find(({ beforeStepId }) => beforeStepId === step.id);
                    return (
                      <LadderStretch
                        key={step.id}
                        laid={laidStretch}
                        needle={neededOf(ladder, wanted)}
                        place={row}
                        rise={change ? (rowOf.get(wantedKey(change.from)) ?? row) - row : 0}
                        idle={idleBefore(laidStretch, inHand)}
                        name={stretchName(laidStretch.stretch, ladder, numberIn(numbered, step.id))}
                        isFlagged={flagged.has(step.id)}
                        isCurrent={step.id === currentId}
                        isReachable={step.id === reachable}
                        isFixed={!onOverride}
                        onRead={onRead}
                        onOpen={onOpen}
                      />
                    );
                  })}
              </RungLine>
            ))}
            <Without laid={laid} />
          </div>
        </div>
      </div>
    </DndContext>
  );
}

/** From the end of the needle step before it to its beginning. */
function idleBefore(laidStretch: LaidStretch, inHand: readonly LaidStretch[]): number {
  const before = inHand[inHand.indexOf(laidStretch) - 1];
  const idle = before ? laidStretch.startFraction - before.startFraction - before.lengthFraction : 0;
  return idle > 1e-9 ? idle : 0;
}

const neededOf = (ladder: Ladder, wanted: NeedleWanted) => {
  const owned = ladder.rungs.find(({ key }) => key === wantedKey(wanted))?.owned;
  return owned && owned.kind === 'owned' ? owned.needle : null;
};

function RungName({ wanted, rung, place }: { wanted: NeedleWanted; rung: Rung | null; place: number }) {
  const owned = rung?.owned;
  const needle = owned?.kind === 'owned' ? owned.needle : null;
  return (
    <span className={styles.rungName}>
      <NeedleMark needle={needle} place={place} />
      <b>{wantedName(wanted)}</b>
      <span className="quiet small">
        {needle?.mark?.word}
        {owned && owned.kind !== 'owned' && <span className="amber">not on the shelf</span>}
      </span>
    </span>
  );
}

/** What a letter takes of the width, on paper too. In less room a word says nothing; the hairline and the hint stay. */
const LETTER_FRACTION = 0.009;

/** Stages in the pattern’s order; a stage that comes again has its word again. */
function Stages({ laid }: { laid: readonly LaidStretch[] }) {
  const groups: { stage: Stage; start: number; length: number }[] = [];
  for (const { stretch, startFraction: start, lengthFraction: length } of laid) {
    const last = groups.at(-1);
    if (last?.stage === stretch.step.stage) last.length += length;
    else groups.push({ stage: stretch.step.stage, start, length });
  }
  return (
    <div className={styles.stages}>
      {groups.map(({ stage, start, length }) => (
        <span
          key={start}
          title={STAGE_WORDS[stage]}
          style={{ left: `${start * 100}%`, width: `${length * 100}%` }}
        >
          {length > LETTER_FRACTION * STAGE_WORDS[stage].length && STAGE_WORDS[stage]}
        </span>
      ))}
    </div>
  );
}

function RungLine({ id, isFixed, children }: { id: string; isFixed: boolean; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id, disabled: isFixed });
  return (
    <div ref={setNodeRef} className={`${styles.rung} ${isOver ? styles.over : ''}`}>
      {children}
    </div>
  );
}

/** What is done without a needle, at the foot. */
const Without = ({ laid }: { laid: readonly LaidStretch[] }) => (
  <div className={styles.without} aria-hidden>
    {laid.map(({ stretch, startFraction: start, lengthFraction: length }) =>
      stretch.wanted === null ? (
        <span key={stretch.step.id} style={{ left: `${start * 100}%`, width: `${length * 100}%` }} />
      ) : null,
    )}
  </div>
);
