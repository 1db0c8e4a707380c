import type { ClassPlan } from '@lanakit/core/run';
import type { DayView, Sitting } from '@lanakit/core/timetable';
import { clockWords, lengthOfTime } from '@lanakit/core/words';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import styles from './Day.module.css';

interface RowBlockProps {
  row: DayView['rows'][number];
  sitting: Sitting;
  /** Where the next of them begins, from the sitting’s beginning: so far its name may reach. */
  nextAt: number;
  /** Where the ruler ends. */
  to: number;
  plan: ClassPlan;
  onDrag: (plan: ClassPlan) => void;
  onDrop: (plan: ClassPlan) => void;
}

const SNAP_MINUTES = 5;

/** A talk, a demonstration or a break: moved by hand or by arrow keys, five minutes at a time. */
export function RowBlock({ row, sitting, nextAt, to, plan, onDrag, onDrop }: RowBlockProps) {
  const grip = useRef<{ readonly x: number; readonly width: number; readonly from: number } | null>(null);
  const [draggedAt, setDraggedAt] = useState<number | null>(null);
  const span = Math.max(1, to - sitting.from);
  const atMinute = draggedAt ?? row.atMinute;
  const most = Math.max(0, sitting.to - sitting.from - row.minutes * row.groups);
  const within = (minute: number) =>
    Math.min(most, Math.max(0, Math.round(minute / SNAP_MINUTES) * SNAP_MINUTES));
  const moved = (minute: number): ClassPlan => ({
    ...plan,
    rows: plan.rows.map((each) => (each.id === row.id ? { ...each, atMinute: minute } : each)),
  });
  const take = (event: PointerEvent<HTMLButtonElement>) => {
    const track = event.currentTarget.parentElement;
    if (!track || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { x: event.clientX, width: track.clientWidth, from: row.atMinute };
  };
  const pull = (event: PointerEvent) => {
    const held = grip.current;
    if (!held) return;
    const minute = within(held.from + ((event.clientX - held.x) / held.width) * span);
    if (minute === atMinute) return;
    setDraggedAt(minute);
    onDrag(moved(minute));
  };
  const drop = () => {
    const minute = draggedAt;
    grip.current = null;
    setDraggedAt(null);
    if (minute !== null) onDrop(moved(minute));
  };
  const byKey = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowLeft' ? -SNAP_MINUTES : event.key === 'ArrowRight' ? SNAP_MINUTES : 0;
    if (by === 0) return;
    event.preventDefault();
    onDrop(moved(within(row.atMinute + by)));
  };
  const at = sitting.from + atMinute;
  const words = `${row.name || row.kind}, ${clockWords(at)}, ${lengthOfTime(row.minutes)}${row.groups > 1 ? `, to ${row.groups} groups` : ''}`;
  return (
    <>
      {row.stretches.map((_stretch, group) => (
        <button
          key={group}
          type="button"
          className={`${styles.row} ${styles[row.kind]}`}
          style={{
            left: `${((atMinute + group * row.minutes) / span) * 100}%`,
            width: `calc(${(row.minutes / span) * 100}% - 1px)`,
          }}
          title={words}
          aria-label={`${words}. Arrow keys move it.`}
          tabIndex={group === 0 ? 0 : -1}
          onPointerDown={take}
          onPointerMove={pull}
          onPointerUp={drop}
          onPointerCancel={drop}
          onKeyDown={byKey}
        />
      ))}
      <span
        className={styles.rowName}
        style={{
          left: `${(atMinute / span) * 100}%`,
          width: `calc(${(Math.max(0, nextAt - atMinute) / span) * 100}% - 4px)`,
        }}
        aria-hidden="true"
      >
        {row.name}
      </span>
    </>
  );
}
