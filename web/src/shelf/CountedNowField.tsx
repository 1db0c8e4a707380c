import { AMOUNT_BOUNDS, type StockUnit } from '@lanakit/core/shelf';
import { FromScale } from '../scale/FromScale.tsx';
import { UNIT_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showAmount } from '../words/shelfWords.ts';
import styles from './Panel.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { enterCounts } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';

interface CountFieldProps {
  itemId: string;
  lotId: string | null;
  unit: StockUnit;
  onHand: number | null;
  label?: string;
  isLabelHidden?: boolean;
}

/** What was found when somebody counted; the ledger gets the difference. */
export function CountedNowField({
  itemId,
  lotId,
  unit,
  onHand,
  label = 'Count',
  isLabelHidden = false,
}: CountFieldProps) {
  const [amount, setAmount] = useState<number | null>(null);
  const attempt = useAttempt();
  const enter = async () => {
    if (amount === null) return;
    const countOf = (found: number) => enterCounts([{ itemId, lotId, amount: found }]);
    await attempt(async () => {
      await perform(countOf(amount), () => setAmount(null));
      return {
        text: `Counted: ${showAmount(amount, unit)}.`,
        ...(onHand !== null && { undo: () => perform(countOf(onHand)) }),
      };
    });
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
        isLabelHidden={isLabelHidden}
        value={amount}
        bounds={AMOUNT_BOUNDS}
        allowEmpty
        suffix={UNIT_WORDS[unit]}
        placeholder={onHand === null ? '' : String(onHand)}
        onValue={setAmount}
      />
      {unit === 'g' && <FromScale label={label} onMass={setAmount} />}
      <Button htmlType="submit" disabled={amount === null}>
        Enter the count
      </Button>
    </form>
  );
}
