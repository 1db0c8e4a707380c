import {
  type ActKind,
  type Depth,
  PATTERN_BOUNDS,
  PLAIN_ACTS,
  type Stage,
  STAGES,
  type Stroke,
} from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { ACT_WORDS, DEPTH_WORDS, STROKE_WORDS } from '@lanakit/core/words';
import type { TechniqueStep } from '@lanakit/core/writing';
import { Button, Input } from 'antd';
import type { Draft } from 'immer';
import { Choice } from '../ui/fields/Choice.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { MinutesField } from '../ui/fields/MinutesField.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import lists from '../ui/Lists.module.css';
import { STAGE_WORDS } from '../words/show.ts';
import styles from './Techniques.module.css';

interface TechniqueStepFieldsProps {
  step: TechniqueStep;
  index: number;
  problem: string | null;
  change: (recipe: (draft: Draft<TechniqueStep>) => void) => void;
  /** Null where it is the only one. */
  onDelete: (() => void) | null;
}

export function TechniqueStepFields({ step, index, problem, change, onDelete }: TechniqueStepFieldsProps) {
  const narrow = lists.span2 ?? '';
  return (
    <section className={`${styles.step} ${lists.grid}`} aria-label={`Step ${index + 1}`}>
      <Field label={`Step ${index + 1}`} problem={problem} className={lists.span12 ?? ''}>
        {(control) => (
          <Input.TextArea
            {...control}
            value={step.text}
            maxLength={4000}
            autoSize={{ minRows: 1, maxRows: 6 }}
            onChange={(event) => {
              const text = event.target.value;
              change((draft) => void (draft.text = text));
            }}
          />
        )}
      </Field>
      <Choice<ActKind>
        className={narrow}
        label="Kind"
        value={step.act.kind}
        words={ACT_WORDS}
        among={PLAIN_ACTS}
        onChoose={(kind) => {
          const plain = PLAIN_ACTS.find((act) => act === kind);
          if (plain) change((draft) => void (draft.act = { kind: plain }));
        }}
      />
      <Choice<Stage>
        className={narrow}
        label="Stage"
        value={step.stage}
        words={STAGE_WORDS}
        among={STAGES}
        onChoose={(stage) => stage && change((draft) => void (draft.stage = stage))}
      />
      <Choice<Stroke>
        className={narrow}
        label="Stroke"
        value={step.stroke}
        words={STROKE_WORDS}
        none="not said"
        onChoose={(stroke) => change((draft) => void (draft.stroke = stroke))}
      />
      <Choice<Depth>
        className={narrow}
        label="How deep"
        value={step.depth}
        words={DEPTH_WORDS}
        none="not said"
        onChoose={(depth) => change((draft) => void (draft.depth = depth))}
      />
      <NumberField
        className={narrow}
        label="Needle"
        value={step.needle.by === 'gauge' ? step.needle.gauge : null}
        bounds={PATTERN_BOUNDS.gauge}
        isWhole
        allowEmpty
        hint="empty: the stage’s"
        onValue={(gauge) =>
          change((draft) => void (draft.needle = gauge === null ? { by: 'stage' } : byGauge(gauge)))
        }
      />
      <MinutesField
        className={narrow}
        label="Minutes"
        value={step.minutes}
        onValue={(minutes) => change((draft) => void (draft.minutes = minutes))}
      />
      <Field label="Change or stop when" className={lists.span9 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={step.cue}
            maxLength={200}
            onChange={(event) => {
              const cue = event.target.value;
              change((draft) => void (draft.cue = cue));
            }}
          />
        )}
      </Field>
      {onDelete && (
        <div className={`${lists.span3} to-end to-right`}>
          <Button size="small" onClick={onDelete}>
            Take the step off
          </Button>
        </div>
      )}
    </section>
  );
}
