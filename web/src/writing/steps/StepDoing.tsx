import {
  type Act,
  ACT_KINDS,
  type ActKind,
  type Depth,
  isWaitedFor,
  type Pattern,
  repeatsOf,
  type Stage,
  STAGES,
  type Step,
  type StepPlace,
  type Stroke,
  workMinutes,
} from '@lanakit/core/pattern';
import {
  ACT_WORDS,
  DEPTH_WORDS,
  PLACE_WORDS,
  showCountRange,
  STATE_WORDS,
  STROKE_WORDS,
} from '@lanakit/core/words';
import { Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { MinutesField } from '../../ui/fields/MinutesField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { StepNeedleChoice } from '../needles/StepNeedleChoice.tsx';
import lists from '../../ui/Lists.module.css';
import { useEditStep, useProblemAt, useTable } from '../table/tableContext.ts';
import { showMinutes, STAGE_WORDS } from '../../words/show.ts';
import { ActFields } from './ActFields.tsx';

const MINUTES_ARE_WORDS = { each: 'each time', together: 'all times together' };

/** What the repeats come to. */
function repeatedWords(step: Step, pattern: Pattern): string {
  const work = workMinutes(step, pattern);
  const repeats = repeatsOf(step, pattern.parts);
  if (!repeats || !work || step.minutes === null) return 'how often is not known yet';
  return step.areMinutesEach
    ? `${showCountRange(repeats)} times: ${showMinutes(work.likely)} in all`
    : `${showCountRange(repeats)} times in ${showMinutes(work.likely)}`;
}

/** How it is done: act, needle, stroke, time. */
export function StepDoing({ step, index }: { step: Step; index: number }) {
  const steps = useTable((table) => table.document.steps);
  const document = useTable((table) => table.document);
  const problemAt = useProblemAt();
  const editStep = useEditStep(step.id);
  const pointer = `/steps/${index}`;
  const third = lists.span4 ?? '';
  return (
    <div className={lists.grid}>
      <Choice<ActKind>
        className={third}
        label="What kind"
        value={step.act.kind}
        words={ACT_WORDS}
        among={ACT_KINDS}
        onChoose={(kind) =>
          kind && editStep('the kind of a step', (draft) => void (draft.act = blankAct(kind)))
        }
      />
      <Choice<Stage>
        className={third}
        label="Stage"
        value={step.stage}
        words={STAGE_WORDS}
        among={STAGES}
        onChoose={(stage) => stage && editStep('the stage', (draft) => void (draft.stage = stage))}
      />
      <Choice<StepPlace>
        className={third}
        label="Where"
        value={step.place}
        words={PLACE_WORDS}
        none="not said"
        onChoose={(place) => editStep('where it is done', (draft) => void (draft.place = place))}
      />
      <ActFields step={step} />
      <StepNeedleChoice step={step} className={third} problem={problemAt(`${pointer}/needle/gauge`)} />
      <Choice<Stroke>
        className={third}
        label="Stroke"
        value={step.stroke}
        words={STROKE_WORDS}
        none="not said"
        onChoose={(stroke) => editStep('the stroke', (draft) => void (draft.stroke = stroke))}
      />
      <Choice<Depth>
        className={third}
        label="How deep"
        value={step.depth}
        words={DEPTH_WORDS}
        none="not said"
        onChoose={(depth) => editStep('the depth', (draft) => void (draft.depth = depth))}
      />
      <MinutesField
        className={third}
        label="Minutes at your pace"
        value={step.minutes}
        problem={problemAt(`${pointer}/minutes`)}
        unknown={step.minutes === null && step.act.kind !== 'wait' ? 'Unknown until given' : null}
        onValue={(minutes) => editStep('the minutes', (draft) => void (draft.minutes = minutes), 'minutes')}
      />
      {step.repeat && (
        <Choice
          className={third}
          label="Those minutes are"
          value={step.areMinutesEach ? 'each' : 'together'}
          words={MINUTES_ARE_WORDS}
          hint={repeatedWords(step, document)}
          onChoose={(are) =>
            editStep('what the minutes are of', (draft) => void (draft.areMinutesEach = are !== 'together'))
          }
        />
      )}
      <MinutesField
        className={third}
        label="Then it waits"
        value={step.waiting}
        problem={problemAt(`${pointer}/waiting`)}
        unknown={isWaitedFor(step, document) && step.waiting === null ? 'It sets or dries: how long?' : null}
        hint="drying, setting; nobody works"
        onValue={(waiting) => editStep('the waiting', (draft) => void (draft.waiting = waiting), 'waiting')}
      />
      <NumberField
        className={third}
        label="Needles in the holder"
        value={step.holder}
        bounds={{ min: 1, max: 20 }}
        isWhole
        allowEmpty
        hint="empty: one, in the fingers"
        onValue={(holder) => editStep('the holder', (draft) => void (draft.holder = holder), 'holder')}
      />
      <Field label="Change or stop when" className={lists.span8 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={step.cue}
            maxLength={200}
            placeholder="it springs back, and fits the outline"
            onChange={(event) => {
              const cue = event.target.value;
              editStep('the cue', (draft) => void (draft.cue = cue), 'cue');
            }}
          />
        )}
      </Field>
      <Choice
        className={third}
        label="Leaves it"
        value={step.leaves}
        words={STATE_WORDS}
        none="as the kind says"
        onChoose={(leaves) => editStep('what it leaves', (draft) => void (draft.leaves = leaves))}
      />
      {steps.some(({ act, id }) => act.kind === 'decide' && id !== step.id) && <Recalls step={step} />}
    </div>
  );
}

/** Each kind as it is begun. */
function blankAct(kind: ActKind): Act {
  switch (kind) {
    case 'choose':
      return { kind, findingUseIds: [] };
    case 'decide':
      return { kind, question: '', answers: ['', ''] };
    case 'stand-in':
      return { kind, standsFor: '', untilStepId: null };
    default:
      return { kind };
  }
}

/** An early choice that matters here. */
function Recalls({ step }: { step: Step }) {
  const steps = useTable((table) => table.document.steps);
  const editStep = useEditStep(step.id);
  const words = Object.fromEntries(
    steps.flatMap(({ id, act }, at) =>
      act.kind === 'decide' && id !== step.id ? [[id, `step ${at + 1}: ${act.question || 'a choice'}`]] : [],
    ),
  );
  return (
    <Choice
      className={lists.span12 ?? ''}
      label="Recalls what was decided"
      value={step.recallsStepId}
      words={words}
      none="nothing"
      onChoose={(id) => editStep('what it recalls', (draft) => void (draft.recallsStepId = id))}
    />
  );
}
