import type { Part } from '@lanakit/core/pattern';
import { Checkbox } from 'antd';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { useEditPart, useTable } from '../table/tableContext.ts';

/** How a flat piece is laid out, and whether it stays as thick in another size. */
export function FlatFields({ part }: { part: Part }) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const editPart = useEditPart(part.id);
  if (!('thickness' in part.shape)) return null;
  return (
    <>
      <div className={styles.span3}>
        <LengthField
          label="Margin folded in"
          value={part.margin}
          allowZero
          defaultUnit={lengthUnit}
          hint="empty: 8 mm all round"
          onValue={(margin) => editPart('the margin', (draft) => void (draft.margin = margin), 'margin')}
        />
      </div>
      <NumberField<number | null>
        className={styles.span3 ?? ''}
        label="Thin layers"
        value={part.thinLayers}
        bounds={{ min: 1, max: 20 }}
        isWhole
        allowEmpty
        hint="laid crosswise"
        onValue={(layers) => editPart('the layers', (draft) => void (draft.thinLayers = layers), 'layers')}
      />
      <Checkbox
        className={styles.span6 ?? ''}
        checked={part.holdsThickness}
        onChange={(event) => {
          const holds = event.target.checked;
          editPart('whether it stays as thick', (draft) => void (draft.holdsThickness = holds));
        }}
      >
        as thick in every size
      </Checkbox>
    </>
  );
}
