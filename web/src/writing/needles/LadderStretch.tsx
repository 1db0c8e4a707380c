import type { LaidStretch } from '@lanakit/core/needles';
import type { Needle } from '@lanakit/core/shelf';
import { useDraggable } from '@dnd-kit/core';
import { memo } from 'react';
import { markLook } from '../../ui/NeedleMark.tsx';
import styles from './LadderChart.module.css';

interface LadderStretchProps {
  laid: LaidStretch;
  needle: Pick<Needle, 'mark'> | null;
  /** Its rung, from 0. */
  place: number;
  /** How many rungs above (below nought) or under it the needle before was. */
  rise: number;
  /** How long before it no needle was in use, as a fraction of the ladder. */
  idle: number;
  name: string;
  isFlagged: boolean;
  isCurrent: boolean;
  isReachable: boolean;
  isFixed: boolean;
  onRead: (stepId: string) => void;
  onOpen: ((stepId: string) => void) | undefined;
}

/** One step on its rung; the riser before it, where the needle changes. */
export const LadderStretch = memo(function LadderStretch(props: LadderStretchProps) {
  const {
    laid,
    needle,
    place,
    rise,
    idle,
    name,
    isFlagged,
    isCurrent,
    isReachable,
    isFixed,
    onRead,
    onOpen,
  } = props;
  const { step } = laid.stretch;
  const { setNodeRef, listeners, transform } = useDraggable({ id: step.id, disabled: isFixed });
  const look = markLook(needle, place);
  return (
    <>
      {rise !== 0 && idle > 0 && (
        <span
          aria-hidden
          className={styles.held}
          style={{
            left: `${(laid.startFraction - idle) * 100}%`,
            width: `${idle * 100}%`,
            top: `calc(50% + ${rise} * var(--rung))`,
          }}
        />
      )}
      {rise !== 0 && (
        <span
          aria-hidden
          className={styles.riser}
          style={{
            left: `${laid.startFraction * 100}%`,
            top: `calc(50% + ${Math.min(0, rise)} * var(--rung))`,
            height: `calc(${Math.abs(rise)} * var(--rung))`,
          }}
        />
      )}
      <button
        ref={setNodeRef}
        type="button"
        data-step={step.id}
        aria-label={name}
        aria-pressed={isCurrent}
        title={name}
        tabIndex={isReachable ? 0 : -1}
        className={`${styles.stretch} ${look.className} ${laid.isGuessed ? styles.guessed : ''} ${isCurrent ? styles.current : ''}`}
        style={{
          ...look.style,
          left: `${laid.startFraction * 100}%`,
          width: `calc(${laid.lengthFraction * 100}% - 2px)`,
          ...(transform && { transform: `translateY(${transform.y}px)`, zIndex: 3 }),
        }}
        {...listeners}
        onMouseEnter={() => onRead(step.id)}
        onFocus={() => onRead(step.id)}
        onDoubleClick={() => onOpen?.(step.id)}
      >
        {isFlagged && <span className={styles.flag}>!</span>}
      </button>
    </>
  );
});
