import type { PartEstimate } from '@lanakit/core/engine';
import { OWN_RIGHTS, type Part, type Sample } from '@lanakit/core/pattern';
import { sizesOf } from '@lanakit/core/shapes';
import { type Packing, PACKINGS } from '@lanakit/core/shelf';
import { sizeWords } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { RightsFields } from '../../ui/fields/RightsFields.tsx';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { FromScale } from '../../scale/FromScale.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { PACKING_WORDS } from '../../words/show.ts';
import { DerivedSizes } from './DerivedSizes.tsx';
import { FlatFields } from './FlatFields.tsx';
import styles from '../../ui/Lists.module.css';
import { SampleEvidence } from './SampleEvidence.tsx';
import { useEditPart, useTable } from '../table/tableContext.ts';

const EXACTNESS_WORDS = { exact: 'exactly so', free: 'free: as you like' } as const;

interface PartMoreProps {
  part: Part;
  estimate: PartEstimate;
}

/** What is said of a part less often: how it is packed, what a sample measured, which sizes follow from others. */
export function PartMore({ part, estimate }: PartMoreProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const editPart = useEditPart(part.id);
  const hidden = part.hides === '' ? null : part.hides;
  const givenCount = [
    part.packing,
    part.sample,
    part.margin,
    part.thinLayers,
    part.holdsThickness || null,
    part.endsApart || null,
    hidden,
    ...part.derived,
    ...part.exactness,
  ].filter((candidate) => candidate !== null).length;
  const sample = part.sample ?? { rolled: null, felted: null, massG: null, sizeFraction: 1 };
  const writeSample = (change: Partial<Sample>, key: string) =>
    editPart(
      'what a sample measured',
      (draft) => {
        // Measured now, in the size it has now.
        const next = { ...sample, ...change, sizeFraction: 1 };
        const { rolled, felted, massG } = next;
        draft.sample = rolled === null && felted === null && massG === null ? null : next;
      },
      `sample.${key}`,
    );
  const size = (label: string, key: 'rolled' | 'felted') => (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={sample[key]}
        defaultUnit={lengthUnit}
        onValue={(value) => writeSample({ [key]: value }, key)}
      />
    </div>
  );
  return (
    <details className={styles.more}>
      <summary>
        Packed, measured, derived, how exact
        {givenCount > 0 && <span className="quiet"> · {givenCount} said</span>}
      </summary>
      <div className={styles.grid}>
        <Choice<Packing>
          className={styles.span6 ?? ''}
          label="Packed before felting"
          value={part.packing}
          none="as usual: tight, flat pieces loose"
          words={PACKING_WORDS}
          among={PACKINGS}
          onChoose={(packing) => editPart('how it is packed', (draft) => void (draft.packing = packing))}
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
                editPart('what a part hides', (draft) => void (draft.hides = hides), 'hides');
              }}
            />
          )}
        </Field>
        <ExactnessFields part={part} />
        {part.shape.kind === 'flat-outline' && <OutlineRights part={part} />}
        {size('Sample, rolled', 'rolled')}
        {size('felted', 'felted')}
        <NumberField<number | null>
          className={styles.span3 ?? ''}
          label="weighs"
          value={sample.massG}
          bounds={{ min: 0.001, max: 10_000 }}
          suffix="g"
          allowEmpty
          hint={<FromScale label="Sample’s weight" onMass={(massG) => writeSample({ massG }, 'massG')} />}
          onValue={(massG) => writeSample({ massG }, 'massG')}
        />
        <SampleEvidence part={part} estimate={estimate} />
        <FlatFields part={part} />
        <Checkbox
          className={styles.span12 ?? ''}
          checked={part.endsApart}
          onChange={(event) => {
            const endsApart = event.target.checked;
            editPart('what a stated amount holds', (draft) => void (draft.endsApart = endsApart));
          }}
        >
          loose ends come on top of a stated or weighed amount; otherwise they are in it
        </Checkbox>
      </div>
      <DerivedSizes part={part} estimate={estimate} />
    </details>
  );
}

/** How exact each size is meant. */
function ExactnessFields({ part }: { part: Part }) {
  const editPart = useEditPart(part.id);
  return (
    <>
      {[...sizesOf(part.shape).keys()].map((name) => (
        <Choice<'exact' | 'free'>
          key={name}
          className={styles.span3 ?? ''}
          label={`${sizeWords(name)} is meant`}
          value={part.exactness.find((candidate) => candidate.size === name)?.is ?? null}
          words={EXACTNESS_WORDS}
          none="about: a guide"
          onChoose={(is) =>
            editPart('how exact a size is', (draft) => {
              draft.exactness = draft.exactness.filter((candidate) => candidate.size !== name);
              if (is !== null) draft.exactness.push({ size: name, is });
            })
          }
        />
      ))}
    </>
  );
}

/** Whose an outline is, where it is not the pattern’s. */
function OutlineRights({ part }: { part: Part }) {
  const editPart = useEditPart(part.id);
  return (
    <div className={styles.span12}>
      <Button
        size="small"
        onClick={() =>
          editPart(
            'whose an outline is',
            (draft) => void (draft.outlineRights = draft.outlineRights ? null : structuredClone(OWN_RIGHTS)),
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
              (draft) => {
                if (draft.outlineRights) recipe(draft.outlineRights);
              },
              key && `outline.${key}`,
            )
          }
        />
      )}
    </div>
  );
}
