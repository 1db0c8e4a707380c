import { fractionOf, type Length, percentOf } from '@lanakit/core/base';
import type { Part } from '@lanakit/core/pattern';
import { HAIR_FIXED, HAIR_WEIGHTS } from '@lanakit/core/shapes';
import { Button } from 'antd';
import { useState } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { OutlineDialog } from './OutlineDialog.tsx';
import { type EditItem, useProblemAt, useTable } from '../table/tableContext.ts';
import { usePartNames } from '../table/useChoices.ts';

interface ShapeFieldsProps {
  part: Part;
  pointer: string;
  editPart: EditItem<Part>;
}

const WEIGHT_WORDS = { light: 'light', medium: 'medium', full: 'full' };
const FIXED_WORDS = { middle: 'folded over its middle', end: 'held by one end' };

/** What some shapes need beside their sizes. */
export function ShapeFields({ part, pointer, editPart }: ShapeFieldsProps) {
  const problemAt = useProblemAt();
  const partNames = usePartNames(part.id);
  const { shape } = part;
  switch (shape.kind) {
    case 'flat-outline':
      return <OutlineField part={part} path={shape.path} pointer={pointer} editPart={editPart} />;
    case 'plate':
      return <CornerField corner={shape.corner} pointer={pointer} editPart={editPart} />;
    case 'patch':
      return (
        <Choice
          className={styles.span6 ?? ''}
          label="Laid on"
          value={shape.onPartId}
          words={partNames}
          none="nothing yet: the strongest contrast is assumed"
          problem={problemAt(`${pointer}/shape/onPartId`)}
          onChoose={(onPartId) =>
            editPart(
              'what it is laid on',
              (draft) => void (draft.shape.kind === 'patch' && (draft.shape.onPartId = onPartId)),
            )
          }
        />
      );
    case 'by-grams':
      return (
        <NumberField<number | null>
          className={styles.span3 ?? ''}
          label="One weighs"
          value={shape.massG}
          bounds={{ min: 0.001, max: 10_000 }}
          suffix="g"
          allowEmpty
          unknown={shape.massG === null ? 'Unknown until given' : null}
          onValue={(massG) =>
            editPart(
              'what one weighs',
              (draft) => void (draft.shape.kind === 'by-grams' && (draft.shape.massG = massG)),
              'massG',
            )
          }
        />
      );
    case 'fringe':
      return (
        <>
          <Choice
            className={styles.span3 ?? ''}
            label="How thick"
            value={shape.weight}
            words={WEIGHT_WORDS}
            among={HAIR_WEIGHTS}
            onChoose={(weight) =>
              editPart(
                'how thick it lies',
                (draft) => void (draft.shape.kind === 'fringe' && weight && (draft.shape.weight = weight)),
              )
            }
          />
          <Choice
            className={styles.span4 ?? ''}
            label="How it is fixed"
            value={shape.fixed}
            words={FIXED_WORDS}
            among={HAIR_FIXED}
            onChoose={(fixed) =>
              editPart(
                'how it is fixed',
                (draft) => void (draft.shape.kind === 'fringe' && fixed && (draft.shape.fixed = fixed)),
              )
            }
          />
          <NumberField
            className={styles.span3 ?? ''}
            label="Trimmed off"
            value={percentOf(shape.trimFraction)}
            bounds={{ min: 0, max: 90 }}
            suffix="%"
            onValue={(percent) =>
              editPart(
                'what is trimmed',
                (draft) =>
                  void (draft.shape.kind === 'fringe' && (draft.shape.trimFraction = fractionOf(percent))),
                'trim',
              )
            }
          />
        </>
      );
    default:
      return null;
  }
}

function OutlineField({ part, path, pointer, editPart }: ShapeFieldsProps & { path: string }) {
  const problemAt = useProblemAt();
  const [isOpen, setOpen] = useState(false);
  const words = path === '' ? 'Bring an outline in' : 'Bring another in';
  return (
    <Field
      label="Outline"
      className={styles.span6 ?? ''}
      problem={problemAt(`${pointer}/shape/path`)}
      unknown={path === '' ? 'Unknown until it is drawn' : null}
    >
      {(control) => (
        <>
          <Button {...control} aria-label={words} onClick={() => setOpen(true)}>
            {words}
          </Button>
          {isOpen && (
            <OutlineDialog
              onClose={() => setOpen(false)}
              onOutline={(outline) => {
                setOpen(false);
                editPart('the outline', (draft) => {
                  if (draft.shape.kind !== 'flat-outline') return;
                  draft.shape.path = outline.path;
                  if (outline.heightMm !== null) {
                    draft.shape.length = { value: Number(outline.heightMm.toFixed(2)), unit: 'mm' };
                  } else if (part.shape.kind === 'flat-outline' && part.shape.path !== '')
                    draft.shape.length = null;
                });
              }}
            />
          )}
        </>
      )}
    </Field>
  );
}

interface CornerFieldProps extends Omit<ShapeFieldsProps, 'part'> {
  corner: Length | null;
}

/** How round the corners of a straight-sided piece are. */
function CornerField({ corner, pointer, editPart }: CornerFieldProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  return (
    <div className={styles.span3}>
      <LengthField
        label="Corner radius"
        value={corner}
        allowZero
        defaultUnit={lengthUnit}
        hint="empty: square"
        problem={problemAt(`${pointer}/shape/corner`)}
        onValue={(length) =>
          editPart(
            'the corners',
            (draft) => void (draft.shape.kind === 'plate' && (draft.shape.corner = length)),
            'corner',
          )
        }
      />
    </div>
  );
}
