import { type Level, LEVELS, PERMITTED } from '@lanakit/core/pattern';
import { MEASURE_WORDS, PERMITTED_WORDS } from '@lanakit/core/words';
import { proposeLevel } from '@lanakit/core/writing';
import { Checkbox, Input } from 'antd';
import { useMemo } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { FromScale } from '../../scale/FromScale.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import { LEVEL_WORDS } from '../../words/show.ts';
import { OtherPatterns } from './OtherPatterns.tsx';
import { PicturesSection } from './PicturesSection.tsx';
import { RightsFields } from '../../ui/fields/RightsFields.tsx';
import { Sessions } from './Sessions.tsx';

const SIDES_WORDS = {
  figure: 'the figure’s own left and right',
  viewer: 'left and right as you look at it',
} as const;

/** The pattern as a whole: for whom, in how many sittings, and whose it is. */
export function AboutPattern({ onOpenStep }: { onOpenStep: (stepId: string) => void }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  return (
    <div className={lists.scroll}>
      <section className={lists.section} aria-label="For whom">
        <header>
          <h3>For whom</h3>
        </header>
        <div className={lists.grid}>
          <LevelFields />
          <Choice<'figure' | 'viewer'>
            className={lists.span6 ?? ''}
            label="Left and right are"
            value={document.sidesSeen}
            words={SIDES_WORDS}
            none="not said"
            onChoose={(seen) => edit('whose left and right', (draft) => void (draft.sidesSeen = seen))}
          />
          <Choice<'unit' | 'both'>
            className={lists.span6 ?? ''}
            label="Sizes on paper"
            value={document.showsBothUnits ? 'both' : 'unit'}
            words={{
              unit: document.lengthUnit === 'mm' ? 'in millimetres' : 'in inches',
              both:
                document.lengthUnit === 'mm' ? 'millimetres, inches beside' : 'inches, millimetres beside',
            }}
            onChoose={(shown) =>
              edit('the units on paper', (draft) => void (draft.showsBothUnits = shown === 'both'))
            }
          />
          <WeighedMake />
          <Field label="Before you begin" className={lists.span12 ?? ''}>
            {(control) => (
              <Input.TextArea
                {...control}
                value={document.prerequisites}
                maxLength={600}
                autoSize={{ minRows: 1, maxRows: 4 }}
                placeholder="a felted ball or two; nothing else"
                onChange={(event) => {
                  const text = event.target.value;
                  edit('what comes before', (draft) => void (draft.prerequisites = text), 'prerequisites');
                }}
              />
            )}
          </Field>
        </div>
      </section>
      <OtherPatterns />
      <Sessions onOpenStep={onOpenStep} />
      <section className={lists.section} aria-label="Whose it is">
        <header>
          <h3>Whose it is</h3>
          <span className="quiet small">a reminder of what was agreed, not advice on what the law asks</span>
        </header>
        <Grants />
        <RightsFields
          rights={document.rights}
          onChange={(label, recipe, key) =>
            edit(label, (draft) => recipe(draft.rights), key && `rights.${key}`)
          }
        />
      </section>
      <PicturesSection />
    </div>
  );
}

/** What whoever gets the pattern may do with it; only of one’s own can that be given. */
function Grants() {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  if (document.rights.origin !== 'own') return null;
  return (
    <fieldset className={`${lists.span12} plain-fieldset`}>
      <legend className="small">Whoever has the pattern may</legend>
      <Checkbox.Group
        value={document.grants}
        options={PERMITTED.map((what) => ({ value: what, label: PERMITTED_WORDS[what] }))}
        onChange={(grants) =>
          edit(
            'what its buyer may do',
            (draft) => void (draft.grants = PERMITTED.filter((candidate) => grants.includes(candidate))),
          )
        }
      />
      <div className="quiet small">Printed with it. What is not ticked is not said to be allowed.</div>
    </fieldset>
  );
}

/** A whole make on the scale: how firm its maker felts, shared out over all that is calculated. */
function WeighedMake() {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const write = (massG: number | null) =>
    edit('what a make weighed', (draft) => void (draft.weighedMakeG = massG), 'weighedMake');
  return (
    <NumberField<number | null>
      className={lists.span6 ?? ''}
      label="One whole make weighed"
      value={document.weighedMakeG}
      bounds={{ min: 0.01, max: 10_000 }}
      suffix="g"
      allowEmpty
      hint={
        <>
          its wool alone, as the options stand by default: every calculated weight follows it{' '}
          <FromScale label="One whole make" onMass={write} />
        </>
      }
      onValue={write}
    />
  );
}

/** The level as it follows from the pattern, and the author’s own with a reason. */
function LevelFields() {
  const build = useTable((table) => table.build);
  const estimate = useTable((table) => table.estimate);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const proposal = useMemo(() => proposeLevel(build, estimate), [build, estimate]);
  const reasons = proposal.reasons
    .filter(({ level }) => level === proposal.level)
    .map(
      ({ measure, value }) =>
        `${MEASURE_WORDS[measure]} ${Math.round(value)}${measure === 'smallest' ? ' mm' : ''}`,
    )
    .join(', ');
  return (
    <>
      <Choice<Level>
        className={lists.span6 ?? ''}
        label="Level"
        value={document.level}
        words={LEVEL_WORDS}
        among={LEVELS}
        none={`as proposed: ${LEVEL_WORDS[proposal.level]}`}
        hint={`${LEVEL_WORDS[proposal.level]}: ${reasons}`}
        onChoose={(level) => edit('the level', (draft) => void (draft.level = level))}
      />
      {document.level !== null && document.level !== proposal.level && (
        <Field
          label="Why not as proposed"
          className={lists.span12 ?? ''}
          unknown={document.levelReason === '' ? 'Say why' : null}
        >
          {(control) => (
            <Input
              {...control}
              value={document.levelReason}
              maxLength={300}
              placeholder="the small legs come made in the kit"
              onChange={(event) => {
                const reason = event.target.value;
                edit('the reason of the level', (draft) => void (draft.levelReason = reason), 'levelReason');
              }}
            />
          )}
        </Field>
      )}
    </>
  );
}
