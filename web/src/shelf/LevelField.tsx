import { AMOUNT_BOUNDS, type StockUnit } from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { setLevel } from '../api/mutations/buying.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useBuying } from '../api/queries.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';

const BOUNDS = { ...AMOUNT_BOUNDS, min: 0.001 };

/** Below how much a thing runs low: then the bench says so. */
export function LevelField({ itemId, unit }: { itemId: string; unit: StockUnit }) {
  const { data } = useBuying();
  const attempt = useAttempt();
  const thing = data?.things.find(({ id }) => id === itemId);
  if (!thing) return null;
  const isLow = thing.least !== null && thing.onHand !== null && thing.onHand < thing.least;
  return (
    <NumberField<number | null>
      label="Runs low below"
      value={thing.least}
      bounds={BOUNDS}
      allowEmpty
      suffix={UNIT_WORDS[unit]}
      problem={isLow ? 'Less than that is there.' : null}
      onValue={(least) =>
        void attempt(async () => {
          await perform(setLevel(itemId, least));
          return undefined;
        })
      }
    />
  );
}
