import type { Length, LengthUnit } from '@lanakit/core/base';
import {
  type Amount,
  AMOUNT_FORMS,
  type AmountForm,
  blankAmount,
  UNTIL,
  type WoolUse,
} from '@lanakit/core/pattern';
import { HAND_MEASURES } from '@lanakit/core/shelf';
import { FORM_WORDS } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { LengthRangeField } from '../../ui/fields/LengthRangeField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { LockGrades } from './LockGrades.tsx';
import { useTable } from '../table/tableContext.ts';
import { useUseNames } from '../table/useChoices.ts';

interface AmountFieldsProps {
  use: WoolUse;
  /** What the choice of a form is called, and choosing none. */
  label?: string;
  none?: string;
  onAmount: (amount: Amount | null, what: string) => void;
}

/** How an author says how much: calculated from the shape, or stated in one of the forms makers use. */
export function AmountFields({
  use,
  label = 'Amount',
  none = 'calculated from the shape',
  onAmount,
}: AmountFieldsProps) {
  return (
    <>
      <Choice<AmountForm>
        className={styles.span6 ?? ''}
        label={label}
        value={use.amount?.form ?? null}
        none={none}
        words={FORM_WORDS}
        among={AMOUNT_FORMS}
        onChoose={(form) => onAmount(form === null ? null : blankAmount(form), 'form')}
      />
      {use.amount && <FormFields use={use} amount={use.amount} onAmount={onAmount} />}
    </>
  );
}

const SOME = { min: 0.01, max: 1000 };
const GRAMS = { min: 0.001, max: 10_000 };
const WAYS = { min: 1, max: 64 };
const HAND_WORDS = { wisp: 'wisp', pinch: 'pinch', tuft: 'tuft' };
const UNTIL_WORDS = { size: 'until it has its size', cover: 'until it covers', fit: 'until it fits' };

type SetAmount = (change: Partial<Amount>, what: string) => void;

/** The few kinds of field that amounts are made of. */
function amountFields(defaultUnit: LengthUnit, set: SetAmount) {
  return {
    length: (label: string, key: string, value: Length | null, hint?: string) => (
      <div className={styles.span3}>
        <LengthField
          label={label}
          value={value}
          defaultUnit={defaultUnit}
          {...(hint !== undefined && { hint })}
          onValue={(size) => set({ [key]: size }, key)}
        />
      </div>
    ),
    range: (label: string, key: 'length' | 'width', low: Length | null, high: Length | null) => (
      <div className={styles.span3}>
        <LengthRangeField
          label={label}
          low={low}
          high={high}
          defaultUnit={defaultUnit}
          onValue={(from, to) =>
            set({ [key]: from, [key === 'length' ? 'highLength' : 'highWidth']: to }, key)
          }
        />
      </div>
    ),
    number: (label: string, key: string, value: number | null, bounds: typeof SOME, suffix = '') => (
      <NumberField<number | null>
        className={styles.span3 ?? ''}
        label={label}
        value={value}
        bounds={bounds}
        isWhole={bounds === WAYS}
        allowEmpty={bounds !== WAYS}
        suffix={suffix}
        onValue={(next) => set({ [key]: next }, key)}
      />
    ),
  };
}

function FormFields({ use, amount, onAmount }: AmountFieldsProps & { amount: Amount }) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const set: SetAmount = (change, what) => onAmount({ ...amount, ...change } as Amount, what);
  const { length, range, number } = amountFields(lengthUnit, set);
  switch (amount.form) {
    case 'grams':
      return (
        <>
          {number('From', 'massG', amount.massG, GRAMS, 'g')}
          {number('To, if a range', 'highG', amount.highG, GRAMS, 'g')}
          <Checkbox
            className={styles.span6 ?? ''}
            checked={amount.isWeighed}
            onChange={(event) => set({ isWeighed: event.target.checked }, 'isWeighed')}
          >
            weighed, not just said
          </Checkbox>
        </>
      );
    case 'strip':
      return (
        <>
          {range('Length', 'length', amount.length, amount.highLength)}
          {range('Width', 'width', amount.width, amount.highWidth)}
          {length('Depth', 'depth', amount.depth, 'as torn, not pressed')}
        </>
      );
    case 'sheet':
      return (
        <>
          {length('Length', 'length', amount.length)}
          {length('Width', 'width', amount.width)}
        </>
      );
    case 'tops':
      return (
        <>
          {range('Length', 'length', amount.length, amount.highLength)}
          {number('Split in', 'ways', amount.ways, WAYS)}
        </>
      );
    case 'hand':
      return (
        <>
          <Choice
            className={styles.span3 ?? ''}
            label="Which"
            value={amount.measure}
            words={HAND_WORDS}
            among={HAND_MEASURES}
            onChoose={(measure) => measure && set({ measure }, 'measure')}
          />
          {number('How many', 'count', amount.count, SOME)}
        </>
      );
    case 'equal-part':
      return (
        <>
          {number('Lot weighs', 'lotG', amount.lotG, GRAMS, 'g')}
          {number('Parts', 'parts', amount.parts, SOME)}
        </>
      );
    case 'shared':
    case 'rest':
    case 'relative':
    case 'trimmings':
      return (
        <AmountOfAnother
          useId={use.id}
          amount={amount}
          set={set}
          fraction={(value) => number('So much', 'fraction', value, SOME)}
        />
      );
    case 'at-most':
      return number('At most', 'massG', amount.massG, GRAMS, 'g');
    case 'turns':
      return (
        <>
          {number('Turns', 'turns', amount.turns, SOME)}
          {length('Girth', 'girth', amount.girth, 'empty: round the part')}
        </>
      );
    case 'tufts':
      return (
        <>
          {number('Tufts', 'count', amount.count, SOME)}
          {number('Split in', 'ways', amount.ways, WAYS)}
        </>
      );
    case 'locks':
      return <LockGrades grades={amount.grades} onGrades={(grades, key) => set({ grades }, key)} />;
    case 'until':
      return (
        <Choice
          className={styles.span6 ?? ''}
          label="Until"
          value={amount.what}
          words={UNTIL_WORDS}
          among={UNTIL}
          onChoose={(what) => what && set({ what }, 'what')}
        />
      );
  }
}

interface AmountOfAnotherProps {
  useId: string;
  amount: Extract<Amount, { form: 'shared' | 'rest' | 'relative' | 'trimmings' }>;
  set: SetAmount;
  /** The field of how much of it. */
  fraction: (value: number | null) => React.ReactNode;
}

/** Amounts that follow from a weight that several share, or from another use of wool. */
function AmountOfAnother({ useId, amount, set, fraction }: AmountOfAnotherProps) {
  const shared = useTable((table) => table.document.shared);
  const useNames = useUseNames(useId);
  switch (amount.form) {
    case 'shared':
    case 'rest':
      return (
        <Choice
          className={styles.span6 ?? ''}
          label="Which weight"
          value={amount.sharedId}
          placeholder="add one under Materials"
          words={Object.fromEntries(shared.map(({ id, name }) => [id, name || 'unnamed weight']))}
          onChoose={(sharedId) => set({ sharedId }, 'sharedId')}
        />
      );
    case 'relative':
      return (
        <>
          {fraction(amount.fraction)}
          <Choice
            className={styles.span6 ?? ''}
            label="Of"
            value={amount.ofUseId}
            words={useNames}
            placeholder="choose"
            onChoose={(ofUseId) => set({ ofUseId }, 'ofUseId')}
          />
        </>
      );
    case 'trimmings':
      return (
        <Choice
          className={styles.span6 ?? ''}
          label="Cut off"
          value={amount.ofUseId}
          words={useNames}
          placeholder="choose the hair"
          onChoose={(ofUseId) => set({ ofUseId }, 'ofUseId')}
        />
      );
  }
}
