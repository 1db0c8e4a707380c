import {
  ENTERED_REASONS,
  type EnteredReason,
  type Lot,
  type Movement,
  type StockUnit,
} from '@lanakit/core/shelf';
import { REASON_WORDS, UNIT_WORDS } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { useMovements } from '../api/queries.ts';
import { ComingNow } from '../ui/ComingNow.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showDay } from '../words/show.ts';
import { showSigned } from '../words/shelfWords.ts';
import { LevelField } from './LevelField.tsx';
import styles from './Panel.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { enterMovement } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';

interface LedgerSectionProps {
  itemId: string;
  unit: StockUnit;
  /** Null for what is kept without lots. */
  lots: readonly Lot[] | null;
}

const SHOWN_AT_FIRST = 6;

/** What came and went, and a line to enter another. */
export function LedgerSection({ itemId, unit, lots }: LedgerSectionProps) {
  const { data } = useMovements(itemId);
  const [isWhole, setWhole] = useState(false);
  const [isEntering, setEntering] = useState(false);
  if (!data) return null;
  const shown = isWhole ? data.items : data.items.slice(0, SHOWN_AT_FIRST);
  const canEnter = lots === null || lots.length > 0;
  return (
    <section className={styles.section} aria-label="Ledger">
      <div className={styles.sectionHead}>
        <h3>Came and went</h3>
        {canEnter && !isEntering && (
          <Button size="small" onClick={() => setEntering(true)}>
            Enter something
          </Button>
        )}
      </div>
      <ComingNow itemId={itemId} className="as-block" />
      {isEntering && (
        <EnterMovement itemId={itemId} unit={unit} lots={lots} onDone={() => setEntering(false)} />
      )}
      {shown.length > 0 && (
        <table className={styles.ledger}>
          <tbody>
            {shown.map((movement) => (
              <LedgerLine key={movement.id} movement={movement} unit={unit} lots={lots} />
            ))}
          </tbody>
        </table>
      )}
      {data.items.length > shown.length && (
        <button type="button" className="plain-button quiet small" onClick={() => setWhole(true)}>
          all {data.items.length} lines
        </button>
      )}
      <LevelField itemId={itemId} unit={unit} />
    </section>
  );
}

function LedgerLine({ movement, unit, lots }: { movement: Movement } & Omit<LedgerSectionProps, 'itemId'>) {
  const lot = lots?.find(({ id }) => id === movement.lotId);
  return (
    <tr>
      <td>{showDay(movement.at.slice(0, 10))}</td>
      <td>
        {REASON_WORDS[movement.reason]}
        {lot && <span className="quiet"> {lot.name}</span>}
        {movement.note !== '' && <span className="quiet"> {movement.note}</span>}
      </td>
      <td className="num">{showSigned(movement.amount, unit)}</td>
    </tr>
  );
}

const AMOUNT = { min: 0.001, max: 1_000_000 };

function EnterMovement({ itemId, unit, lots, onDone }: LedgerSectionProps & { onDone: () => void }) {
  const [reason, setReason] = useState<EnteredReason>('received');
  const [chosenLot, setLotId] = useState<string | null>(null);
  const [amount, setAmount] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const attempt = useAttempt();
  const lotId =
    lots === null ? null : (lots.find(({ id }) => id === chosenLot)?.id ?? lots.at(-1)?.id ?? null);
  const [question, setQuestion] = useState<string | null>(null);
  const enter = async (anyway: boolean) => {
    if (amount === null) return;
    setQuestion(null);
    const movement = { itemId, lotId, reason, amount, note, ...(anyway && { anyway }) };
    await attempt(
      async () => {
        await perform(enterMovement(movement), onDone);
        return undefined;
      },
      ({ problem }) => {
        const below = problem.errors?.find(({ code }) => code === 'stock_below_nothing');
        if (below) setQuestion(below.message);
        return below !== undefined;
      },
    );
  };
  return (
    <form
      className={`${styles.form} above-2 below-2`}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void enter(false);
      }}
    >
      <div className={styles.two}>
        <Field label="What happened">
          {(control) => (
            <Select<EnteredReason>
              {...control}
              value={reason}
              options={ENTERED_REASONS.map((value) => ({ value, label: REASON_WORDS[value] }))}
              onChange={(value) => {
                setReason(value);
                setQuestion(null);
              }}
            />
          )}
        </Field>
        <NumberField
          label="How much"
          value={amount}
          bounds={AMOUNT}
          allowEmpty
          suffix={UNIT_WORDS[unit]}
          onValue={(value) => {
            setAmount(value);
            setQuestion(null);
          }}
        />
        {lots !== null && lots.length > 1 && (
          <Field label="Of which lot">
            {(control) => (
              <Select
                {...control}
                value={lotId}
                options={lots.map(({ id, name }) => ({ value: id, label: name }))}
                onChange={setLotId}
              />
            )}
          </Field>
        )}
        <Field label="In a word">
          {(control) => (
            <Input
              {...control}
              value={note}
              maxLength={200}
              onChange={(event) => setNote(event.target.value)}
            />
          )}
        </Field>
      </div>
      {question !== null && (
        <p className="amber" role="alert">
          {question}{' '}
          <Button size="small" onClick={() => void enter(true)}>
            Enter it anyway
          </Button>
        </p>
      )}
      <div>
        <Button size="small" htmlType="submit" disabled={amount === null}>
          Enter it
        </Button>{' '}
        <Button size="small" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
