import { LEVELS, type Level, proposeLevel } from '@lanakit/core';
import { MEASURE_WORDS } from '@lanakit/core/words';
import { Input } from 'antd';
import { useMemo } from 'react';
import { Choice } from '../fields/Choice.tsx';
import { Field } from '../fields/Field.tsx';
import lists from '../patterns/Lists.module.css';
import { useTable } from '../patterns/tableContext.ts';
import { LEVEL_WORDS } from '../words/show.ts';
import { PicturesSection } from './PicturesSection.tsx';
import { RightsFields } from './RightsFields.tsx';
import { Sessions } from './Sessions.tsx';

const SIDES_WORDS = {
  figure: 'the figure’s own left and right',
  viewer: 'left and right as you look at it',
} as const;

/** The pattern as a whole: for whom, in how many sittings, and whose it is. */
export function AboutPattern({ onOpenStep }: { onOpenStep: (stepId: string) => void }) {
  const { draft } = useTable();
  const { document, edit } = draft;
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
            onChoose={(seen) => edit('whose left and right', (it) => void (it.sidesSeen = seen))}
          />
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
                  edit('what comes before', (it) => void (it.prerequisites = text), 'prerequisites');
                }}
              />
            )}
          </Field>
        </div>
      </section>
      <Sessions onOpenStep={onOpenStep} />
      <section className={lists.section} aria-label="Whose it is">
        <header>
          <h3>Whose it is</h3>
          <span className="quiet small">a reminder of what was agreed, not advice on what the law asks</span>
        </header>
        <RightsFields
          rights={document.rights}
          onChange={(label, recipe, key) => edit(label, (it) => recipe(it.rights), key && `rights.${key}`)}
        />
      </section>
      <PicturesSection />
    </div>
  );
}

/** The level as it follows from the pattern, and the author’s own with a reason. */
function LevelFields() {
  const { draft, build, estimate } = useTable();
  const { document, edit } = draft;
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
        onChoose={(level) => edit('the level', (it) => void (it.level = level))}
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
                edit('the reason of the level', (it) => void (it.levelReason = reason), 'levelReason');
              }}
            />
          )}
        </Field>
      )}
    </>
  );
}
