import {
  type DerivedSize,
  type Length,
  OWN_RIGHTS,
  type Packing,
  PACKINGS,
  percentOf,
  type Part,
  type PartEstimate,
  type Sample,
  type SizeName,
  sizesOf,
  toMm,
  showSizeMm,
  withSize,
} from '@lanakit/core';
import { sizeWords } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import type { Draft } from 'immer';
import { RightsFields } from '../about/RightsFields.tsx';
import { Choice } from '../fields/Choice.tsx';
import { Field } from '../fields/Field.tsx';
import { LengthField } from '../fields/LengthField.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { PACKING_WORDS } from '../words/show.ts';
import styles from './Lists.module.css';
import { useEditPart, useTable } from './tableContext.ts';
import { useFindingNames, usePartNames } from './useChoices.ts';

const EXACTNESS_WORDS = { exact: 'exactly so', free: 'free: as you like' } as const;

interface PartMoreProps {
  part: Part;
  estimate: PartEstimate;
}

/** What is said of a part less often: how it is packed, what a sample measured, which sizes follow from others. */
export function PartMore({ part, estimate }: PartMoreProps) {
  const { draft } = useTable();
  const editPart = useEditPart(part.id);
  const hidden = part.hides === '' ? null : part.hides;
  const said = [
    part.packing,
    part.sample,
    part.margin,
    part.thinLayers,
    part.holdsThickness || null,
    part.endsApart || null,
    hidden,
    ...part.derived,
    ...part.exactness,
  ].filter((one) => one !== null).length;
  const sample = part.sample ?? { rolled: null, felted: null, massG: null, sizeFraction: 1 };
  const writeSample = (change: Partial<Sample>, key: string) =>
    editPart(
      'what a sample measured',
      (it) => {
        // Measured now, in the size it has now.
        const next = { ...sample, ...change, sizeFraction: 1 };
        const { rolled, felted, massG } = next;
        it.sample = rolled === null && felted === null && massG === null ? null : next;
      },
      `sample.${key}`,
    );
  const size = (label: string, key: 'rolled' | 'felted') => (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={sample[key]}
        defaultUnit={draft.document.lengthUnit}
        onValue={(value) => writeSample({ [key]: value }, key)}
      />
    </div>
  );
  return (
    <details className={styles.more}>
      <summary>
        Packed, measured, derived, how exact{said > 0 && <span className="quiet"> · {said} said</span>}
      </summary>
      <div className={styles.grid}>
        <Choice<Packing>
          className={styles.span6 ?? ''}
          label="Packed before felting"
          value={part.packing}
          none="as usual: tight, flat pieces loose"
          words={PACKING_WORDS}
          among={PACKINGS}
          onChoose={(packing) => editPart('how it is packed', (it) => void (it.packing = packing))}
        />
        <Field label="Hides" hint="what shows when it is left off" className={styles.span6 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={part.hides}
              maxLength={200}
              placeholder="the seam under the neck"
              onChange={(event) => {
                const hides = event.target.value;
                editPart('what a part hides', (it) => void (it.hides = hides), 'hides');
              }}
            />
          )}
        </Field>
        {[...sizesOf(part.shape).keys()].map((name) => (
          <Choice<'exact' | 'free'>
            key={name}
            className={styles.span3 ?? ''}
            label={`${sizeWords(name)} is meant`}
            value={part.exactness.find((own) => own.size === name)?.is ?? null}
            words={EXACTNESS_WORDS}
            none="about: a guide"
            onChoose={(is) =>
              editPart('how exact a size is', (it) => {
                it.exactness = it.exactness.filter((own) => own.size !== name);
                if (is !== null) it.exactness.push({ size: name, is });
              })
            }
          />
        ))}
        {part.shape.kind === 'flat-outline' && (
          <div className={styles.span12}>
            <Button
              size="small"
              onClick={() =>
                editPart(
                  'whose an outline is',
                  (it) => void (it.outlineRights = it.outlineRights ? null : structuredClone(OWN_RIGHTS)),
                )
              }
            >
              {part.outlineRights ? 'The outline is as the pattern is' : 'The outline is somebody else’s…'}
            </Button>
            {part.outlineRights && (
              <RightsFields
                rights={part.outlineRights}
                onChange={(label, recipe, key) =>
                  editPart(
                    label,
                    (it) => {
                      if (it.outlineRights) recipe(it.outlineRights);
                    },
                    key && `outline.${key}`,
                  )
                }
              />
            )}
          </div>
        )}
        {size('Sample, rolled', 'rolled')}
        {size('felted', 'felted')}
        <NumberField<number | null>
          className={styles.span3 ?? ''}
          label="weighs"
          value={sample.massG}
          bounds={{ min: 0.001, max: 10_000 }}
          suffix="g"
          allowEmpty
          onValue={(massG) => writeSample({ massG }, 'massG')}
        />
        <Evidence part={part} estimate={estimate} />
        <FlatFields part={part} />
        <Checkbox
          className={styles.span12 ?? ''}
          checked={part.endsApart}
          onChange={(event) => {
            const endsApart = event.target.checked;
            editPart('what a stated amount holds', (it) => void (it.endsApart = endsApart));
          }}
        >
          loose ends come on top of a stated or weighed amount; otherwise they are in it
        </Checkbox>
      </div>
      <DerivedSizes part={part} estimate={estimate} />
    </details>
  );
}

/** How a flat piece is laid out, and whether it stays as thick in another size. */
function FlatFields({ part }: { part: Part }) {
  const { draft } = useTable();
  const editPart = useEditPart(part.id);
  if (!('thickness' in part.shape)) return null;
  return (
    <>
      <div className={styles.span3}>
        <LengthField
          label="Margin folded in"
          value={part.margin}
          allowZero
          defaultUnit={draft.document.lengthUnit}
          hint="empty: 8 mm all round"
          onValue={(margin) => editPart('the margin', (it) => void (it.margin = margin), 'margin')}
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
        onValue={(layers) => editPart('the layers', (it) => void (it.thinLayers = layers), 'layers')}
      />
      <Checkbox
        className={styles.span6 ?? ''}
        checked={part.holdsThickness}
        onChange={(event) => {
          const holds = event.target.checked;
          editPart('whether it stays as thick', (it) => void (it.holdsThickness = holds));
        }}
      >
        as thick in every size
      </Checkbox>
    </>
  );
}

/** What the sample taught, in one line. */
function Evidence({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const { estimate: whole, shelf } = useTable();
  const core = part.uses.find(({ role }) => role === 'core');
  const fibre = core?.role === 'core' ? shelf.get(core.fibreId ?? '') : undefined;
  if (!part.sample || !fibre || !estimate.rollUp) return null;
  const growth = whole.calibration.growth(fibre, part.firmness, estimate.rollUp.packing);
  const density = whole.calibration.finished(fibre, part.firmness);
  const { rolled, felted } = part.sample;
  return (
    <p className={`quiet small ${styles.span12}`}>
      {rolled && felted && toMm(rolled) > 0 && growth.samples > 0
        ? `Felting took ${Math.round((1 - toMm(felted) / toMm(rolled)) * 100)} % across here; ${fibre.name} is rolled by that, with our default still counting a little. `
        : ''}
      {density.samples > 0
        ? `${fibre.name}, ${part.firmness}: ${density.value.toFixed(3)} g/cm³ from this sample and our default.`
        : ''}
      {part.sample.massG !== null &&
        density.samples === 0 &&
        'It teaches nothing yet: something of the piece is unknown, or it weighs less than what lies over its core.'}
      {part.sample.sizeFraction !== 1 &&
        ` It was weighed at ${Math.round(percentOf(part.sample.sizeFraction))} % of the present size, and counts by its shape.`}
    </p>
  );
}

const COUNTED = ['count'] as const;

/** Sizes that follow from what a bought thing is inside, or from another part. */
function DerivedSizes({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const { draft } = useTable();
  const editPart = useEditPart(part.id);
  const findings = useFindingNames(COUNTED);
  // Its own sizes are among them: a length tied to its width goes along with it.
  const partNames = { ...usePartNames(), [part.id]: `${part.name} itself` };
  const free = [...sizesOf(part.shape).keys()].filter(
    (name) => !part.derived.some(({ size }) => size === name),
  );
  const add = (size: SizeName) =>
    editPart('a size that follows', (it) => {
      const clearance: Length = { value: 2, unit: 'mm' };
      it.derived.push({ from: 'finding', size, findingId: null, clearance });
      it.shape = withSize(part.shape, size, null);
    });
  return (
    <>
      {part.derived.map((derived, index) => (
        <DerivedRow
          key={derived.size}
          derived={derived}
          sizeMm={sizeOf(estimate, derived.size)}
          unit={draft.document.lengthUnit}
          findings={findings}
          partNames={partNames}
          sizesOfPart={(partId) => {
            const other = draft.document.parts.find(({ id }) => id === partId);
            return other ? [...sizesOf(other.shape).keys()] : [];
          }}
          onEdit={(recipe, key) =>
            editPart(
              'a size that follows',
              (it) => {
                const own = it.derived[index];
                if (own) it.derived[index] = recipe(own);
              },
              key,
            )
          }
          onDelete={() => editPart('a size that follows', (it) => void it.derived.splice(index, 1))}
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
  onEdit: (recipe: (own: Draft<DerivedSize>) => DerivedSize, key?: string) => void;
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
    <div className={styles.grid} style={{ marginTop: 8 }}>
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
            onChoose={(findingId) => onEdit((own) => ({ ...(own as typeof derived), findingId }))}
          />
          <div className={styles.span3}>
            <LengthField
              label="Less"
              value={derived.clearance}
              defaultUnit={unit}
              allowZero
              onValue={(clearance) =>
                onEdit(
                  (own) => ({ ...(own as typeof derived), clearance: clearance ?? { value: 0, unit } }),
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
              onEdit((own) => ({
                ...(own as typeof derived),
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
              onEdit((own) => ({ ...(own as typeof derived), ofSize: ofSize ?? derived.ofSize }))
            }
          />
          <NumberField
            className={styles.span3 ?? ''}
            label="Times"
            value={derived.ratio}
            bounds={{ min: 0.01, max: 20 }}
            onValue={(ratio) => onEdit((own) => ({ ...(own as typeof derived), ratio }), 'ratio')}
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
