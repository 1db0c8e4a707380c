import type { Length } from '@lanakit/core/base';
import { NEEDLED_FORMS, type NeedledForm, type Use, type UseOf } from '@lanakit/core/pattern';
import { Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import styles from '../../ui/Lists.module.css';
import { type EditItem, useProblemAt, useTable } from '../table/tableContext.ts';

const FORM_WORDS: Readonly<Record<NeedledForm, string>> = { line: 'a line', hollow: 'a hollow' };

interface NeedledFieldsProps {
  use: UseOf<'needled'>;
  /** JSON pointer of the use. */
  pointer: string;
  editUse: EditItem<Use>;
  /** How many there are on each piece. */
  several: React.ReactNode;
}

/** A line or a hollow that is only needled: how large, how far it is drawn in. */
export function NeedledFields({ use, pointer, editUse, several }: NeedledFieldsProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const size = (label: string, key: 'length' | 'width' | 'depth') => (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={use[key]}
        defaultUnit={lengthUnit}
        problem={problemAt(`${pointer}/${key}`)}
        onValue={(value: Length | null) =>
          editUse(
            label.toLowerCase(),
            (draft) => void (draft.role === 'needled' && (draft[key] = value)),
            key,
          )
        }
      />
    </div>
  );
  return (
    <>
      <Choice
        label="It is"
        className={styles.span3 ?? ''}
        value={use.form}
        words={FORM_WORDS}
        among={NEEDLED_FORMS}
        onChoose={(form) =>
          editUse('what it is', (draft) => void (draft.role === 'needled' && form && (draft.form = form)))
        }
      />
      {size('Length', 'length')}
      {use.form === 'hollow' && size('Width', 'width')}
      {size('Drawn in', 'depth')}
      {several}
      <Field label="In your words" className={styles.span6 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={use.words}
            maxLength={200}
            placeholder="a mouth, an eye socket"
            onChange={(event) => {
              const words = event.target.value;
              editUse(
                'the words',
                (draft) => void (draft.role === 'needled' && (draft.words = words)),
                'words',
              );
            }}
          />
        )}
      </Field>
    </>
  );
}
