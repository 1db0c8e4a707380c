import { PATTERN_BOUNDS, STAGES, type Stage, type Step } from '@lanakit/core';
import { Button, Input, Select } from 'antd';
import { Field } from '../fields/Field.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { showMinutes, STAGE_WORDS } from '../words/show.ts';
import styles from './Lists.module.css';
import type { RowActions } from './SortableRows.tsx';
import { useEditStep, useProblemAt, useTable } from './tableContext.ts';

interface StepRowProps {
  index: number;
  isOpen: boolean;
  onToggle: () => void;
  actions: RowActions;
}

export function StepRow({ index, isOpen, onToggle, actions }: StepRowProps) {
  const { draft } = useTable();
  const step = draft.document.steps[index];
  if (!step) return null;
  const names = draft.document.parts.flatMap((part, at) =>
    step.partIds.includes(part.id) ? [`${at + 1}`] : [],
  );
  return (
    <div className={isOpen ? styles.open : ''}>
      <button type="button" data-row-head className={styles.head} aria-expanded={isOpen} onClick={onToggle}>
        {!isOpen && <span className={styles.stepNumber}>{index + 1}</span>}
        <span className={`${styles.main} ${styles.text}`}>
          {isOpen ? <b>Step {index + 1}</b> : step.text || <span className="quiet">Nothing written yet</span>}{' '}
          {names.map((name) => (
            <span key={name} className={styles.number}>
              {name}
            </span>
          ))}
        </span>
        <span className={styles.amount}>
          {step.needle ? `${step.needle.gauge}` : <span>no needle</span>}
          {step.minutes === null ? (
            <span className="red">? min</span>
          ) : (
            <span>{showMinutes(step.minutes)}</span>
          )}
        </span>
      </button>
      {isOpen && <StepEditor step={step} index={index} actions={actions} />}
    </div>
  );
}

const GAUGES = Array.from(
  { length: PATTERN_BOUNDS.gauge.max - PATTERN_BOUNDS.gauge.min + 1 },
  (_, i) => PATTERN_BOUNDS.gauge.min + i,
);
const NO_NEEDLE = 0;

function StepEditor({ step, index, actions }: { step: Step; index: number; actions: RowActions }) {
  const { draft } = useTable();
  const problemAt = useProblemAt();
  const { parts } = draft.document;
  const pointer = `/steps/${index}`;
  const editStep = useEditStep(step.id);
  const toggle = (partId: string) =>
    editStep('the parts of a step', (it) => {
      const isIn = it.partIds.includes(partId);
      it.partIds = isIn ? it.partIds.filter((id) => id !== partId) : [...it.partIds, partId];
    });
  return (
    <div className={styles.editor}>
      <div className={styles.grid}>
        <Field label="What to do" className={styles.span12 ?? ''}>
          {(control) => (
            <Input.TextArea
              {...control}
              value={step.text}
              maxLength={4000}
              autoSize={{ minRows: 2, maxRows: 8 }}
              placeholder="Roll the core as tight as it goes…"
              onChange={(event) => {
                const text = event.target.value;
                editStep('the text of a step', (it) => void (it.text = text), 'text');
              }}
            />
          )}
        </Field>
        <div className={styles.span12} role="group" aria-label="Acts on">
          <div className="quiet small">Acts on</div>
          <div className={styles.chips}>
            {parts.length === 0 && <span className="quiet">No parts yet</span>}
            {parts.map((part, at) => (
              <button
                key={part.id}
                type="button"
                className={styles.chip}
                aria-pressed={step.partIds.includes(part.id)}
                onClick={() => toggle(part.id)}
              >
                <span className={styles.number}>{at + 1}</span>
                {part.name}
              </button>
            ))}
          </div>
        </div>
        <Field label="Stage" className={styles.span4 ?? ''}>
          {(control) => (
            <Select<Stage>
              {...control}
              value={step.stage}
              options={STAGES.map((stage) => ({ value: stage, label: STAGE_WORDS[stage] }))}
              onChange={(stage) => editStep('the stage', (it) => void (it.stage = stage))}
            />
          )}
        </Field>
        <Field
          label="Needle"
          hint="higher is finer"
          problem={problemAt(`${pointer}/needle/gauge`)}
          className={styles.span4 ?? ''}
        >
          {(control) => (
            <Select<number>
              {...control}
              value={step.needle?.gauge ?? NO_NEEDLE}
              options={[
                { value: NO_NEEDLE, label: 'no needle' },
                ...GAUGES.map((gauge) => ({ value: gauge, label: String(gauge) })),
              ]}
              onChange={(gauge) =>
                editStep('the needle', (it) => void (it.needle = gauge === NO_NEEDLE ? null : { gauge }))
              }
            />
          )}
        </Field>
        <NumberField
          className={styles.span4 ?? ''}
          label="Minutes at your pace"
          value={step.minutes}
          bounds={PATTERN_BOUNDS.minutes}
          allowEmpty
          unknown={step.minutes === null ? 'Unknown until given' : null}
          problem={problemAt(`${pointer}/minutes`)}
          onValue={(minutes) => editStep('the minutes', (it) => void (it.minutes = minutes), 'minutes')}
        />
      </div>
      <div className={styles.rowActions}>
        <Button size="small" onClick={() => actions.onDuplicate(step.id)}>
          Duplicate
        </Button>
        <Button size="small" onClick={() => actions.onAddAfter(step.id)}>
          Add a step after
        </Button>
        <Button size="small" danger onClick={() => actions.onDelete(step.id)}>
          Delete
        </Button>
      </div>
    </div>
  );
}
