import { eventsOf, inOrder } from '@lanakit/core/classDay';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { useClassTook } from '../../api/queries.ts';
import { FromScale } from '../../scale/FromScale.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { showGrams } from '../../words/show.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

const MASS = { min: 0.001, max: 10_000 };
const HEAP = '';

/** Wool weighed back in, of one seat or of all in a heap; and with it what the class took. */
export function LeftOvers({ teaching }: { teaching: Teaching }) {
  const { run, here } = teaching;
  const hasSpare = here.day.plan.spare.length > 0;
  const { data: took, error } = useClassTook(run.id);
  if (!took)
    return <p className="sheet">{error ? 'What it took could not be read.' : 'Reading what it took…'}</p>;
  return (
    <section className={`sheet ${styles.side}`} aria-label="Left over">
      <h2>Left over, and what it took</h2>
      <table className={styles.took}>
        <thead>
          <tr>
            <th scope="col">Fibre</th>
            <th scope="col">Planned</th>
            <th scope="col">Weighed out</th>
            {hasSpare && <th scope="col">From the spare bag</th>}
            <th scope="col">Came back</th>
            <th scope="col">Took</th>
          </tr>
        </thead>
        <tbody>
          {took.items.map((row) => (
            <tr key={row.fibreId}>
              <th scope="row">
                <FibreNamed fibreId={row.fibreId} teaching={teaching} />
              </th>
              <td>{showGrams(row.plannedG)}</td>
              <td>{row.weighedG === null ? 'not weighed' : showGrams(row.weighedG)}</td>
              {hasSpare && <td>{row.spareG === 0 ? '–' : showGrams(row.spareG)}</td>}
              <td>{row.leftG === null ? 'not weighed' : showGrams(row.leftG)}</td>
              <td>
                <b>{tookWords(row)}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <WeighBack fibreIds={took.items.map(({ fibreId }) => fibreId)} teaching={teaching} />
      <Back teaching={teaching} />
      <p className="quiet small">
        {took.isOnShelf
          ? 'What comes back is on the shelf at once, in the lot it came from.'
          : 'This run is not called packed yet: its wool is still on the shelf, and what comes back is reckoned as soon as it is.'}
      </p>
    </section>
  );
}

function FibreNamed({ fibreId, teaching }: { fibreId: string; teaching: Teaching }) {
  const fibre = teaching.fibreOf(fibreId);
  return (
    <span className={styles.fibre}>
      {fibre && <FibreSwatch fibre={fibre} width={26} height={20} />}
      {teaching.names.fibre(fibreId)}
    </span>
  );
}

const tookWords = ({ tookG, weighedG, leftG }: { readonly tookG: number | null; readonly weighedG: number | null; readonly leftG: number | null }): string => {
  if (tookG !== null) return showGrams(tookG);
  return weighedG !== null && leftG === null ? `up to ${showGrams(weighedG)}` : 'not known';
}; // prettier-ignore

function WeighBack({ fibreIds, teaching }: { fibreIds: readonly string[]; teaching: Teaching }) {
  const { here, names } = teaching;
  const [fibreId, setFibreId] = useState<string | null>(fibreIds[0] ?? null);
  const [seatKey, setSeatKey] = useState(HEAP);
  const [massG, setMassG] = useState<number | null>(null);
  const back = () => {
    if (fibreId === null || massG === null) return;
    here.act({ act: 'left', fibreId, seatKey: seatKey === HEAP ? null : seatKey, massG });
    setMassG(null);
  };
  return (
    <div className={styles.line}>
      <Field label="Fibre that came back">
        {(control) => (
          <Select
            {...control}
            size="large"
            className="wide"
            value={fibreId}
            onChange={setFibreId}
            options={fibreIds.map((id) => ({ value: id, label: names.fibre(id) }))}
          />
        )}
      </Field>
      <Field label="Of">
        {(control) => (
          <Select
            {...control}
            size="large"
            className="wide"
            value={seatKey}
            onChange={setSeatKey}
            options={[
              { value: HEAP, label: 'all, in a heap' },
              ...here.day.plan.seats.map(({ key }) => ({ value: key, label: names.seat(key) })),
            ]}
          />
        )}
      </Field>
      <NumberField<number | null>
        label="Grams left over"
        value={massG}
        bounds={MASS}
        allowEmpty
        suffix="g"
        onValue={setMassG}
      />
      <FromScale label="Grams left over" onMass={setMassG} />
      <Button size="large" type="primary" disabled={massG === null || fibreId === null} onClick={back}>
        Weighed back
      </Button>
    </div>
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
