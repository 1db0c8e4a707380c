import { useState } from 'react';
import { behindWords } from '../../words/classWords.ts';
import styles from './Seats.module.css';
import { SeatCard } from './SeatCard.tsx';
import { SeatPanel } from './SeatPanel.tsx';
import type { Teaching } from './teaching.ts';

/** Seats as they sit: each piece in its state by a tap, hands that are up, who is behind and on what. */
export function RoomOfClass({ teaching }: { teaching: Teaching }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const { plan } = teaching.here.day;
  const tables = [...new Set(plan.seats.map(({ tableAt }) => tableAt))];
  const seat = plan.seats.find(({ key }) => key === chosen);
  return (
    <>
      <Hands teaching={teaching} onChoose={setChosen} />
      <div className={styles.room}>
        {tables.map((tableAt) => (
          <section key={tableAt} className={styles.table} aria-label={`Table ${tableAt + 1}`}>
            {tables.length > 1 && <h2>Table {tableAt + 1}</h2>}
            <div className={styles.seats}>
              {plan.seats
                .filter((each) => each.tableAt === tableAt)
                .map((each) => (
                  <SeatCard
                    key={each.key}
                    seat={each}
                    teaching={teaching}
                    isChosen={each.key === chosen}
                    onChoose={() => setChosen(each.key === chosen ? null : each.key)}
                  />
                ))}
            </div>
          </section>
        ))}
      </div>
      {seat && <SeatPanel key={seat.key} seat={seat} teaching={teaching} onClose={() => setChosen(null)} />}
    </>
  );
}

/** Hands that are up, the first one first; then who is behind. */
function Hands({ teaching, onChoose }: { teaching: Teaching; onChoose: (seatKey: string) => void }) {
  const { room, names, behind, nowMs, here } = teaching;
  if (room.helpQueue.length === 0 && behind.length === 0) return null;
  return (
    <section className={`sheet ${styles.hands}`} aria-label="Who needs you">
      {room.helpQueue.length > 0 && (
        <p>
          <b>Hands up</b>
          {room.helpQueue.map(({ key, helpSince }) => (
            <button
              key={key}
              type="button"
              className={styles.hand}
              aria-label={`${names.seat(key)}: helped`}
              onClick={() => here.act({ act: 'help', seatKey: key, isWanted: false })}
            >
              {names.seat(key)} <small>{minutesSince(helpSince, nowMs)} min</small>
            </button>
          ))}
        </p>
      )}
      {behind.length > 0 && (
        <p>
          <b>Behind</b>
          {behind.slice(0, 4).map(({ seatKey, minutes, on, handOver }) => (
            <button key={seatKey} type="button" className={styles.behind} onClick={() => onChoose(seatKey)}>
              {names.seat(seatKey)} <small>
                {Math.round(minutes)} min: {behindWords(on)}
                {handOver.length > 0 && ' · a prepared piece helps'}
              </small>
            </button>
          ))}
          {behind.length > 4 && <span className="quiet">and {behind.length - 4} more</span>}
        </p>
      )}
    </section>
  );
} // prettier-ignore

const minutesSince = (at: string | null, nowMs: number): number =>
  at === null ? 0 : Math.max(0, Math.floor((nowMs - Date.parse(at)) / 60_000));
