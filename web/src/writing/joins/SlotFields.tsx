import type { Length } from '@lanakit/core/base';
import type { Join } from '@lanakit/core/pattern';
import { Checkbox } from 'antd';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import styles from '../../ui/Lists.module.css';
import { type EditItem, useTable } from '../table/tableContext.ts';

interface SlotFieldsProps {
  join: Join;
  editJoin: EditItem<Join>;
}

/** A slot snipped into the other part, for this one to go into. */
export function SlotFields({ join, editJoin }: SlotFieldsProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const size = (label: string, key: 'length' | 'depth') => (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={join.slot?.[key] ?? null}
        defaultUnit={lengthUnit}
        onValue={(value: Length | null) =>
          editJoin('the slot', (draft) => void (draft.slot && (draft.slot[key] = value)), `slot.${key}`)
        }
      />
    </div>
  );
  return (
    <>
      <Checkbox
        className={styles.span6 ?? ''}
        checked={join.slot !== null}
        onChange={(event) => {
          const hasSlot = event.target.checked;
          editJoin('the slot', (draft) => void (draft.slot = hasSlot ? { length: null, depth: null } : null));
        }}
      >
        into a slot that is snipped there
      </Checkbox>
      {join.slot && size('Slot, long', 'length')}
      {join.slot && size('Slot, deep', 'depth')}
    </>
  );
}
