import { fractionOf, type Length, percentOf } from '@lanakit/core/base';
import type { PartEstimate } from '@lanakit/core/engine';
import type { Part } from '@lanakit/core/pattern';
import { reshape, SHAPE_KINDS, type ShapeKind, type SizeName, sizesOf, withSize } from '@lanakit/core/shapes';
import { type Firmness, FIRMNESSES } from '@lanakit/core/shelf';
import { capital, sizeWords } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { CountField } from '../../ui/fields/CountField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { FIRMNESS_WORDS, SHAPE_WORDS } from '../../words/show.ts';
import { LayerStack } from './LayerStack.tsx';
import styles from '../../ui/Lists.module.css';
import { PartMore } from './PartMore.tsx';
import { ShapeFields } from './ShapeFields.tsx';
import { PartConsequences } from './PartConsequences.tsx';
import type { RowActions } from '../../ui/SortableRows.tsx';
import { type EditItem, useEditPart, useProblemAt, useTable } from '../table/tableContext.ts';

interface PartEditorProps {
  part: Part;
  index: number;
  estimate: PartEstimate;
  actions: RowActions;
}

/** One part: its shape and sizes, how firm, in which wool, and what that comes to. */
export function PartEditor({ part, index, estimate, actions }: PartEditorProps) {
  const problemAt = useProblemAt();
  const pointer = `/parts/${index}`;
  const editPart = useEditPart(part.id);
  return (
    <div className={styles.editor}>
      <div className={styles.grid}>
        <Field label="Name" problem={problemAt(`${pointer}/name`)} className={styles.span5 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={part.name}
              maxLength={80}
              onChange={(event) => {
                const name = event.target.value;
                editPart('the name', (draft) => void (draft.name = name), 'name');
              }}
            />
          )}
        </Field>
        <Field label="Shape" className={styles.span4 ?? ''}>
          {(control) => (
            <Select<ShapeKind>
              {...control}
              value={part.shape.kind}
              options={SHAPE_KINDS.map((kind) => ({ value: kind, label: SHAPE_WORDS[kind] }))}
              onChange={(kind) =>
                editPart('the shape', (draft) => void (draft.shape = reshape(part.shape, kind)))
              }
            />
          )}
        </Field>
        <CountField
          className={styles.span3 ?? ''}
          label="How many"
          value={part.count}
          problem={problemAt(`${pointer}/count`)}
          unknown={part.count === null ? 'Unknown until given' : null}
          onValue={(count) => editPart('how many', (draft) => void (draft.count = count), 'count')}
        />
        {[...sizesOf(part.shape)].map(([name, size]) => (
          <SizeField key={name} part={part} name={name} size={size} pointer={pointer} />
        ))}
        <ShapeFields part={part} pointer={pointer} editPart={editPart} />
        {part.shape.kind === 'egg' && <WidestAt part={part} editPart={editPart} />}
        <Field label="Firmness" hint={FIRMNESS_WORDS[part.firmness]} className={styles.span3 ?? ''}>
          {(control) => (
            <Select<Firmness>
              {...control}
              value={part.firmness}
              options={FIRMNESSES.map((firmness) => ({ value: firmness, label: firmness }))}
              onChange={(firmness) => editPart('the firmness', (draft) => void (draft.firmness = firmness))}
            />
          )}
        </Field>
      </div>
      <LayerStack part={part} pointer={pointer} estimate={estimate} />
      <PartConsequences part={part} estimate={estimate} />
      <PartMore part={part} estimate={estimate} />
      <div className={styles.rowActions}>
        <Button size="small" onClick={() => actions.onDuplicate(part.id)}>
          Duplicate
        </Button>
        <Button size="small" onClick={() => actions.onAddAfter(part.id)}>
          Add a part after
        </Button>
        <Button size="small" danger onClick={() => actions.onDelete(part.id)}>
          Delete
        </Button>
      </div>
    </div>
  );
}

interface SizeFieldProps {
  part: Part;
  name: SizeName;
  size: Length | null;
  pointer: string;
}

/** One size of the shape; one that follows from something else is only shown. */
function SizeField({ part, name, size, pointer }: SizeFieldProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const editPart = useEditPart(part.id);
  const isDerived = part.derived.some((derived) => derived.size === name);
  if (isDerived) {
    return (
      <Field
        label={capital(sizeWords(name))}
        hint="follows from another: see below"
        className={styles.span3 ?? ''}
      >
        {(control) => <Input {...control} value="to fit" readOnly />}
      </Field>
    );
  }
  return (
    <div className={styles.span3}>
      <LengthField
        label={capital(sizeWords(name))}
        value={size}
        defaultUnit={lengthUnit}
        allowZero={name === 'thinEnd' || name === 'wire'}
        problem={problemAt(`${pointer}/shape/${name}`)}
        unknown={size === null ? 'Unknown until given' : null}
        onValue={(value) =>
          editPart(
            `the ${sizeWords(name)}`,
            (draft) => void (draft.shape = withSize(part.shape, name, value)),
            name,
          )
        }
      />
    </div>
  );
}

const WIDEST_BOUNDS = { min: 10, max: 90 };

function WidestAt({ part, editPart }: { part: Part; editPart: EditItem<Part> }) {
  if (part.shape.kind !== 'egg') return null;
  return (
    <NumberField
      className={styles.span3 ?? ''}
      label="Widest at"
      value={percentOf(part.shape.widestAtFraction)}
      bounds={WIDEST_BOUNDS}
      isWhole
      suffix="%"
      hint="up from the blunt end"
      onValue={(percent) =>
        editPart(
          'where it is widest',
          (draft) => {
            if (draft.shape.kind === 'egg') draft.shape.widestAtFraction = fractionOf(percent);
          },
          'widestAt',
        )
      }
    />
  );
}
