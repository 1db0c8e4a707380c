import type { PlannedSeat } from '@lanakit/core/classDay';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Field } from '../../ui/fields/Field.tsx';
import { showGrams } from '../../words/show.ts';
import styles from './Class.module.css';
import { FibreGrams } from './FibreGrams.tsx';
import type { Teaching } from './teaching.ts';

interface SeatPanelProps {
  seat: PlannedSeat;
  teaching: Teaching;
  onClose: () => void;
}

const MOST_G = 1000;

/** What may happen at one seat beside its pieces. */
export function SeatPanel({ seat, teaching, onClose }: SeatPanelProps) {
  const { room, names, here } = teaching;
  const now = room.seats.find(({ key }) => key === seat.key);
  const name = names.seat(seat.key);
  if (!now) return null;
  return (
    <section className={`sheet ${styles.panel}`} aria-label={`Seat of ${name}`}>
      <header>
        <h2>{name}</h2>
        <Button size="large" type="text" onClick={onClose}>
          Close
        </Button>
      </header>
      <div className={styles.buttons}>
        <Button
          size="large"
          onClick={() => here.act({ act: 'help', seatKey: seat.key, isWanted: now.helpSince === null })}
        >
          {now.helpSince === null ? 'Hand up' : 'Helped'}
        </Button>
        <Button
          size="large"
          onClick={() => here.act({ act: 'here', seatKey: seat.key, isHere: !now.isHere })}
        >
          {now.isHere ? 'Not here yet' : 'Has come'}
        </Button>
        <Button
          size="large"
          onClick={() => here.act({ act: 'finished', seatKey: seat.key, isFinished: !now.isFinished })}
        >
          {now.isFinished ? 'Goes on' : 'Finished'}
        </Button>
      </div>
      <HandOver seat={seat} teaching={teaching} />
      <FromSpareBag seat={seat} teaching={teaching} />
    </section>
  );
}

/** A piece made up beforehand: the seat is as far as after that step. */
function HandOver({ seat, teaching }: Omit<SeatPanelProps, 'onClose'>) {
  const { here, behind, room } = teaching;
  const make = here.day.plan.makes[seat.makeAt];
  const leaving = new Set(make?.pieces.flatMap(({ marks }) => marks.map(({ stepId }) => stepId)));
  const steps = make?.steps.filter(({ id }) => leaving.has(id)) ?? [];
  const helps = behind.find(({ seatKey }) => seatKey === seat.key)?.handOver[0];
  const [stepId, setStepId] = useState<string | null>(helps ?? null);
  const given = room.seats.find(({ key }) => key === seat.key)?.prepared ?? [];
  const numbers = given.flatMap((id) => make?.steps.find((step) => step.id === id)?.number ?? []);
  return (
    <div className={styles.line}>
      <Field label="Prepared piece, made up to step">
        {(control) => (
          <Select
            {...control}
            size="large"
            className="wide"
            value={stepId}
            onChange={setStepId}
            placeholder="choose a step"
            options={steps.map(({ id, number, title }) => ({ value: id, label: `${number} ${title}` }))}
          />
        )}
      </Field>
      <Button
        size="large"
        disabled={stepId === null}
        onClick={() => stepId !== null && here.act({ act: 'prepared', seatKey: seat.key, stepId })}
      >
        Give it
      </Button>
      {numbers.length > 0 && <span className="quiet">given: up to step {numbers.join(', ')}</span>}
    </div>
  );
}

function FromSpareBag({ seat, teaching }: Omit<SeatPanelProps, 'onClose'>) {
  const { here, names, room } = teaching;
  const { spare } = here.day.plan;
  const took = room.seats.find(({ key }) => key === seat.key)?.spare ?? [];
  if (spare.length === 0) return <p className="quiet">This class has no spare bag for all.</p>;
  return (
    <>
      <FibreGrams
        labels={{ fibre: 'From the spare bag', grams: 'Grams taken' }}
        fibres={spare.map(({ fibreId }) => ({ value: fibreId, label: names.fibre(fibreId) }))}
        mostG={MOST_G}
        press="Took it"
        onGrams={(fibreId, massG) => here.act({ act: 'spare', seatKey: seat.key, fibreId, massG })}
      />
      {took.length > 0 && (
        <p className="quiet">
          took {took.map((each) => `${showGrams(each.massG)} ${names.fibre(each.fibreId)}`).join(', ')}
        </p>
      )}
    </>
  );
}
