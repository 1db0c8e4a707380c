import { type PlannedSeat, rankOf, stateAfterTap, statesOf } from '@lanakit/core/classDay';
import { FIBRE_FLAG_WORDS } from '@lanakit/core/words';
import { stateWords } from '../../words/classWords.ts';
import styles from './Seats.module.css';
import type { Teaching } from './teaching.ts';

interface SeatCardProps {
  seat: PlannedSeat;
  teaching: Teaching;
  isChosen: boolean;
  onChoose: () => void;
}

/** Somebody at a table: who, what to heed, and every piece with what it is by now. */
export function SeatCard({ seat, teaching, isChosen, onChoose }: SeatCardProps) {
  const { room, names, seatOf, behind, here } = teaching;
  const now = room.seats.find(({ key }) => key === seat.key);
  const pieces = here.day.plan.makes[seat.makeAt]?.pieces ?? [];
  const late = behind.find(({ seatKey }) => seatKey === seat.key);
  const name = names.seat(seat.key);
  const look = [
    styles.seat,
    now?.isHere === false ? styles.away : '',
    now?.helpSince ? styles.up : '',
    isChosen ? styles.chosen : '',
  ].join(' ');
  return (
    <article className={look} aria-label={name}>
      <button type="button" className={styles.who} aria-expanded={isChosen} onClick={onChoose}>
        <b>{name}</b>
        <Heed seat={seatOf(seat.key)} />
        <span className={styles.standing}>
          {now?.isHere === false
            ? 'not here'
            : now?.isFinished
              ? 'finished'
              : now?.helpSince
                ? 'hand up'
                : late
                  ? `${Math.round(late.minutes)} min behind`
                  : ''}
        </span>
      </button>
      <div className={styles.pieces}>
        {pieces.map((piece) => {
          const standing = room.pieces.get(seat.key)?.get(piece.partId);
          const state = standing?.state ?? null;
          const states = statesOf(piece);
          const done = states.filter((each) => rankOf(each) <= rankOf(state)).length;
          return (
            <button
              key={piece.partId}
              type="button"
              className={styles.piece}
              disabled={now?.isHere === false}
              aria-label={`${name}, ${piece.name}: ${stateWords(state)}`}
              onClick={() => here.act({ act: 'piece', seatKey: seat.key, partId: piece.partId, state: stateAfterTap(piece, state) })}
            >
              <span>{piece.name}</span>
              <small>
                {state === null ? '–' : stateWords(state)}
                {standing?.isPrepared && ', prepared'}
              </small>
              <span className={styles.fill} style={{ width: `${(100 * done) / Math.max(1, states.length)}%` }} />
            </button>
          );
        })}
      </div>
    </article>
  );
} // prettier-ignore

/** Left-handed, and what must not be touched: in sight, always. */
function Heed({ seat }: { seat: ReturnType<Teaching['seatOf']> }) {
  if (!seat) return null;
  const words = [
    ...(seat.isLeftHanded ? ['left-handed'] : []),
    ...(seat.avoids.length > 0
      ? [`must not touch ${seat.avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}`]
      : []),
  ];
  return words.length === 0 ? null : <span className={styles.heed}>{words.join(' · ')}</span>;
}
