import { AMOUNT_BOUNDS, type StockUnit } from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { errorWords, send } from '../api/client.ts';
import { refreshShelf } from '../api/resources.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { showAmount } from '../words/shelfWords.ts';
import styles from './Panel.module.css';

interface CountFieldProps {
  itemId: string;
  lotId: string | null;
  unit: StockUnit;
  onHand: number | null;
  label?: string;
}

/** What was found when somebody counted; the ledger gets the difference. */
export function CountedNowField({ itemId, lotId, unit, onHand, label = 'Count' }: CountFieldProps) {
  const [amount, setAmount] = useState<number | null>(null);
  const say = useNotice();
  const enter = async () => {
    if (amount === null) return;
    const countOf = (found: number) =>
      send('POST', '/stock/counts', { body: { counts: [{ itemId, lotId, amount: found }] } });
    try {
      await countOf(amount);
      await refreshShelf();
      setAmount(null);
      const undo = async () => {
        if (onHand === null) return;
        await countOf(onHand);
        await refreshShelf();
      };
      say({
        text: `Counted: ${showAmount(amount, unit)}.`,
        ...(onHand !== null && { undo: () => void undo() }),
      });
    } catch (error) {
      say({ text: errorWords(error), isProblem: true });
    }
  };
  return (
    <form
      className={styles.inline}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void enter();
      }}
    >
      <NumberField
        label={label}
        value={amount}
        bounds={AMOUNT_BOUNDS}
        allowEmpty
        suffix={UNIT_WORDS[unit]}
        placeholder={onHand === null ? '' : String(onHand)}
        onValue={setAmount}
      />
      <Button htmlType="submit" disabled={amount === null}>
        Enter the count
      </Button>
    </form>
  );
}
