import { type Length, showSizeMm, toMm } from '@lanakit/core/base';
import type { PartEstimate } from '@lanakit/core/engine';
import type { DerivedSize, Part } from '@lanakit/core/pattern';
import { type SizeName, sizesOf, withSize } from '@lanakit/core/shapes';
import { sizeWords } from '@lanakit/core/words';
import { Button } from 'antd';
import type { Draft } from 'immer';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { useEditPart, useTable } from '../table/tableContext.ts';
import { useFindingNames, usePartNames } from '../table/useChoices.ts';

const COUNTED = ['count'] as const;

/** Sizes that follow from what a bought thing is inside, or from another part. */
export function DerivedSizes({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const parts = useTable((table) => table.document.parts);
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const editPart = useEditPart(part.id);
  const findings = useFindingNames(COUNTED);
  // Its own sizes are among them: a length tied to its width goes along with it.
  const partNames = { ...usePartNames(), [part.id]: `${part.name} itself` };
  const free = [...sizesOf(part.shape).keys()].filter(
    (name) => !part.derived.some(({ size }) => size === name),
  );
  const add = (size: SizeName) =>
    editPart('a size that follows', (draft) => {
      const clearance: Length = { value: 2, unit: 'mm' };
      draft.derived.push({ from: 'finding', size, findingId: null, clearance });
      draft.shape = withSize(part.shape, size, null);
    });
  return (
    <>
      {part.derived.map((derived, index) => (
        <DerivedRow
          key={derived.size}
          derived={derived}
          sizeMm={sizeOf(estimate, derived.size)}
          unit={lengthUnit}
          findings={findings}
          partNames={partNames}
          sizesOfPart={(partId) => {
            const other = parts.find(({ id }) => id === partId);
            return other ? [...sizesOf(other.shape).keys()] : [];
          }}
          onEdit={(recipe, key) =>
            editPart(
              'a size that follows',
              (draft) => {
                const size = draft.derived[index];
                if (size) draft.derived[index] = recipe(size);
              },
              key,
            )
          }
          onDelete={() => editPart('a size that follows', (draft) => void draft.derived.splice(index, 1))}
        />
      ))}
      {free.length > 0 && (
        <div className={styles.rowActions}>
          {free.map((name) => (
            <Button key={name} size="small" onClick={() => add(name)}>
              Let the {sizeWords(name)} follow
            </Button>
          ))}
          <span />
        </div>
      )}
    </>
  );
}

const sizeOf = ({ working }: PartEstimate, name: string): number | null => {
  const size = sizesOf(working.part.shape).get(name as SizeName) ?? null;
  return size ? toMm(size) : null;
};

interface DerivedRowProps {
  derived: DerivedSize;
  sizeMm: number | null;
  unit: Length['unit'];
  findings: Record<string, string>;
  partNames: Record<string, string>;
  sizesOfPart: (partId: string) => SizeName[];
  onEdit: (recipe: (derivedSize: Draft<DerivedSize>) => DerivedSize, key?: string) => void;
  onDelete: () => void;
}

const FROM_WORDS = { finding: 'the inside of', part: 'a size of part' };

function DerivedRow({
  derived,
  sizeMm,
  unit,
  findings,
  partNames,
  sizesOfPart,
  onEdit,
  onDelete,
}: DerivedRowProps) {
  return (
    <div className={`${styles.grid} above-2`}>
      <Choice
        className={styles.span4 ?? ''}
        label={`The ${sizeWords(derived.size as SizeName)} follows from`}
        value={derived.from}
        words={FROM_WORDS}
        hint={sizeMm === null ? 'not known yet' : showSizeMm(sizeMm, unit)}
        onChoose={(from) =>
          onEdit(() =>
            from === 'part'
              ? { from, size: derived.size, partId: null, ofSize: 'length', ratio: 1 }
              : { from: 'finding', size: derived.size, findingId: null, clearance: { value: 2, unit: 'mm' } },
          )
        }
      />
      {derived.from === 'finding' ? (
        <>
          <Choice
            className={styles.span5 ?? ''}
            label="Which"
            value={derived.findingId}
            words={findings}
            placeholder="choose a finding"
            onChoose={(findingId) => onEdit((draft) => ({ ...(draft as typeof derived), findingId }))}
          />
          <div className={styles.span3}>
            <LengthField
              label="Less"
              value={derived.clearance}
              defaultUnit={unit}
              allowZero
              onValue={(clearance) =>
                onEdit(
                  (draft) => ({ ...(draft as typeof derived), clearance: clearance ?? { value: 0, unit } }),
                  'clearance',
                )
              }
            />
          </div>
        </>
      ) : (
        <>
          <Choice
            className={styles.span4 ?? ''}
            label="Which"
            value={derived.partId}
            words={partNames}
            placeholder="choose a part"
            onChoose={(partId) =>
              onEdit((draft) => ({
                ...(draft as typeof derived),
                partId,
                ofSize: sizesOfPart(partId ?? '')[0] ?? 'length',
              }))
            }
          />
          <Choice
            className={styles.span4 ?? ''}
            label="Its"
            value={derived.ofSize as SizeName}
            words={Object.fromEntries(
              sizesOfPart(derived.partId ?? '').map((name) => [name, sizeWords(name)]),
            )}
            onChoose={(ofSize) =>
              onEdit((draft) => ({ ...(draft as typeof derived), ofSize: ofSize ?? derived.ofSize }))
            }
          />
          <NumberField
            className={styles.span3 ?? ''}
            label="Times"
            value={derived.ratio}
            bounds={{ min: 0.01, max: 20 }}
            onValue={(ratio) => onEdit((draft) => ({ ...(draft as typeof derived), ratio }), 'ratio')}
          />
        </>
      )}
      <div className={styles.span12}>
        <Button size="small" onClick={onDelete}>
          Give the size instead
        </Button>
      </div>
    </div>
  );
}
