import { eventsOf, inOrder } from '@lanakit/core/classDay';
import { Button } from 'antd';
import { useState } from 'react';
import { useClassTook } from '../../api/queries.ts';
import { showGrams } from '../../words/show.ts';
import styles from './Class.module.css';
import { FibreGrams } from './FibreGrams.tsx';
import { SeatChoice } from './SeatChoice.tsx';
import type { Teaching } from './teaching.ts';
import { WoolTable } from './WoolTable.tsx';

const MOST_G = 10_000;

/** Wool weighed back in, of one seat or of all in a heap; and with it what the class took. */
export function LeftOvers({ teaching }: { teaching: Teaching }) {
  const { run, here, names } = teaching;
  const { data: took, error } = useClassTook(run.id);
  const [seatKey, setSeatKey] = useState<string | null>(null);
  if (!took)
    return <p className="sheet">{error ? 'What it took could not be read.' : 'Reading what it took…'}</p>;
  return (
    <section className={`sheet ${styles.side}`} aria-label="Left over">
      <h2>Left over, and what it took</h2>
      <WoolTable rows={took.items} hasSpare={here.day.plan.spare.length > 0} />
      <FibreGrams
        labels={{ fibre: 'Fibre that came back', grams: 'Grams left over' }}
        fibres={took.items.map(({ fibreId }) => ({ value: fibreId, label: names.fibre(fibreId) }))}
        mostG={MOST_G}
        press="Weighed back"
        onGrams={(fibreId, massG) => here.act({ act: 'left', fibreId, seatKey, massG })}
      >
        <SeatChoice
          label="Of"
          teaching={teaching}
          seatKey={seatKey}
          nobody="all, in a heap"
          onSeat={setSeatKey}
        />
      </FibreGrams>
      <Back teaching={teaching} />
      <p className="quiet small">
        {took.isOnShelf
          ? 'What comes back is on the shelf at once, in the lot it came from.'
          : 'This run is not called packed yet: its wool is still on the shelf, and what comes back is reckoned as soon as it is.'}
      </p>
    </section>
  );
}

/** Each weighing by itself, to be taken out again. */
function Back({ teaching }: { teaching: Teaching }) {
  const { here, names } = teaching;
  const all = eventsOf(inOrder(here.events), 'left');
  if (all.length === 0) return null;
  return (
    <ul className={styles.noted}>
      {all.map(({ key, what }) => (
        <li key={key}>
          <span>
            {showGrams(what.massG)} {names.fibre(what.fibreId)},{' '}
            {what.seatKey === null ? 'in a heap' : names.seat(what.seatKey)}
          </span>
          <Button type="text" onClick={() => here.act({ act: 'back', key })}>
            Take out
          </Button>
        </li>
      ))}
    </ul>
  );
}
