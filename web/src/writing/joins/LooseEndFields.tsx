import type { LengthUnit } from '@lanakit/core/base';
import type { JoinEstimate } from '@lanakit/core/engine';
import type { Join } from '@lanakit/core/pattern';
import type { Draft } from 'immer';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { type EditItem, useTable } from '../table/tableContext.ts';
import { usualSize } from '../table/usualSize.ts';

type LooseEnd = NonNullable<Join['looseEnd']>;

interface LooseEndFieldsProps {
  end: LooseEnd;
  joinEstimate: JoinEstimate;
  editJoin: EditItem<Join>;
}

const ENDS_WORDS = { 1: 'one end', 2: 'both ends' };
const AMOUNT_WORDS = { grams: 'so many grams', sliver: 'a sliver of tops' };
const NO_END = 'it is round: say how long if it has one';

/** How long what stays loose is, at one end or both, and of what where the part's shape does not tell. */
export function LooseEndFields({ end, joinEstimate, editJoin }: LooseEndFieldsProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const edit = (recipe: (draft: Draft<LooseEnd>) => void, key?: string) =>
    editJoin('the loose end', (draft) => void (draft.looseEnd && recipe(draft.looseEnd)), key);
  const { amount } = end;
  return (
    <>
      <div className={styles.span3}>
        <LengthField
          label="So long"
          value={end.length}
          defaultUnit={lengthUnit}
          hint={hintOf(joinEstimate, lengthUnit)}
          onValue={(length) => edit((draft) => void (draft.length = length), 'tail')}
        />
      </div>
      <Choice
        className={styles.span3 ?? ''}
        label="At"
        value={String(end.ends) as '1' | '2'}
        words={ENDS_WORDS}
        onChoose={(ends) => edit((draft) => void (draft.ends = Number(ends ?? '1')))}
      />
      <Choice
        className={styles.span3 ?? ''}
        label="Of what"
        value={amount?.by ?? null}
        none="of the rolled part"
        words={AMOUNT_WORDS}
        onChoose={(by) =>
          edit((draft) => {
            draft.amount = by === null ? null : by === 'grams' ? { by, massG: null } : { by, ways: 1 };
          })
        }
      />
      {amount?.by === 'grams' && (
        <NumberField<number | null>
          className={styles.span3 ?? ''}
          label="Each end"
          value={amount.massG}
          bounds={{ min: 0.001, max: 1000 }}
          suffix="g"
          allowEmpty
          unknown={amount.massG === null ? 'Unknown until given' : null}
          onValue={(massG) =>
            edit((draft) => void (draft.amount?.by === 'grams' && (draft.amount.massG = massG)), 'endG')
          }
        />
      )}
      {amount?.by === 'sliver' && (
        <NumberField
          className={styles.span3 ?? ''}
          label="Split in"
          value={amount.ways}
          bounds={{ min: 1, max: 64 }}
          isWhole
          onValue={(ways) =>
            edit((draft) => void (draft.amount?.by === 'sliver' && (draft.amount.ways = ways)), 'endWays')
          }
        />
      )}
    </>
  );
}

function hintOf({ tailMm, isEndIncluded, looseEnd }: JoinEstimate, unit: LengthUnit): string {
  if (isEndIncluded) return 'in the part’s stated amount already';
  return tailMm === null && looseEnd === null ? NO_END : (usualSize(tailMm, unit) ?? '');
}
