import type { MakingPage } from '@lanakit/core/api';
import {
  blankMakingStep,
  isClockBackwards,
  MAKING_BOUNDS,
  type MakingStep,
  minutesNow,
  started,
  stopped,
} from '@lanakit/core/logbook';
import { type Stage, STAGES, workMinutes } from '@lanakit/core/pattern';
import { needleName } from '@lanakit/core/shelf';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { useNeedles } from '../../api/queries.ts';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { counted, STAGE_WORDS } from '../../words/show.ts';
import book from '../Logbook.module.css';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

interface StepLinesProps {
  page: MakingPage;
  draft: MakingDraft;
  questionsAt: (place: string) => readonly string[];
}

/** Minutes of each step, by a press that hands full of wool can do, or typed; and what broke. */
export function StepLines({ page, draft, questionsAt }: StepLinesProps) {
  const { input, change } = draft;
  const nowMs = useTicking(input.steps.some(({ since }) => since !== null));
  const add = () => change('a step', (making) => void making.steps.push(blankMakingStep(nanoid(10))));
  if (input.steps.length === 0 && page.build) return null;
  return (
    <section aria-label="Steps">
      <h3>Steps</h3>
      <ol className={styles.steps}>
        {input.steps.map((step, at) => (
          <StepLine
            key={step.id}
            step={step}
            at={at}
            nowMs={nowMs}
            page={page}
            draft={draft}
            questions={questionsAt(step.id)}
          />
        ))}
      </ol>
      {!page.build && (
        <p className={book.add}>
          <Button size="small" onClick={add}>
            Add a step
          </Button>
        </p>
      )}
    </section>
  );
}

const SECOND_MS = 1000;

/** Now, once a second while a watch goes. */
function useTicking(isGoing: boolean): number {
  const [nowMs, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!isGoing) return undefined;
    const timer = setInterval(() => setNow(Date.now()), SECOND_MS);
    return () => clearInterval(timer);
  }, [isGoing]);
  return nowMs;
}

interface StepLineProps extends Pick<StepLinesProps, 'page' | 'draft'> {
  step: MakingStep;
  at: number;
  nowMs: number;
  questions: readonly string[];
}

function StepLine({ step, at, nowMs, page, draft, questions }: StepLineProps) {
  const of = page.build?.steps.find(({ id }) => id === step.stepId);
  const planned = of && page.build ? (workMinutes(of, page.build)?.likely ?? null) : null;
  const name = `step ${at + 1}`;
  const set = (what: string, recipe: (step: MakingStep) => MakingStep) =>
    draft.change(`${what}, ${name}`, (making) => {
      const target = making.steps[at];
      if (target) making.steps[at] = recipe(target);
    });
  const isGoing = step.since !== null;
  const press = () => {
    const now = new Date().toISOString();
    set(isGoing ? 'watch stopped' : 'watch', (each) => (isGoing ? stopped(each, now) : started(each, now)));
  };
  return (
    <li className={styles.step} aria-label={name}>
      <span className={styles.number}>{at + 1}</span>
      {of ? (
        <p className={styles.text}>{plainStart(of.text)}</p>
      ) : (
        <div>
          <Field label="What you did" isLabelHidden>
            {(control) => (
              <Input.TextArea
                {...control}
                autoSize
                value={step.text}
                maxLength={600}
                placeholder="What you did"
                onChange={({ target: { value } }) => set('words', (each) => ({ ...each, text: value }))}
              />
            )}
          </Field>
          <ByWhat step={step} onStep={(more) => set('how it was done', (each) => ({ ...each, ...more }))} />
        </div>
      )}
      <Button
        size="large"
        type={isGoing ? 'primary' : 'default'}
        className={styles.watch ?? ''}
        aria-pressed={isGoing}
        aria-label={`${isGoing ? 'Stop' : 'Start'} the watch of ${name}`}
        onClick={press}
      >
        {isGoing ? watchWords(minutesNow(step, nowMs) ?? 0) : 'Start'}
      </Button>
      <NumberField<number | null>
        label={`Minutes of ${name}`}
        isLabelHidden
        value={step.minutes}
        bounds={MAKING_BOUNDS.minutes}
        allowEmpty
        suffix="min"
        placeholder={planned === null ? '' : String(Math.round(planned))}
        onValue={(minutes) => set('minutes', (each) => ({ ...each, minutes, since: null }))}
      />
      <Button
        size="small"
        type="text"
        aria-label={`A needle broke in ${name}`}
        onClick={() =>
          set('a broken needle', (each) => ({
            ...each,
            broken: Math.min(each.broken + 1, MAKING_BOUNDS.broken.max),
          }))
        }
      >
        {step.broken === 0 ? 'a needle broke' : `${counted(step.broken, 'needle')} broke`}
      </Button>
      {step.broken > 0 && (
        <Button
          size="small"
          type="text"
          className={styles.less ?? ''}
          onClick={() => set('a broken needle', (each) => ({ ...each, broken: each.broken - 1 }))}
        >
          one less
        </Button>
      )}
      {isClockBackwards(step, nowMs) && questions.length === 0 && (
        <p className={book.question} role="note">
          This watch began later than it is now. Type the minutes.
        </p>
      )}
      {questions.map((words) => (
        <p key={words} className={book.question} role="note">
          {words}
        </p>
      ))}
    </li>
  );
}

interface ByWhatProps {
  step: MakingStep;
  onStep: (more: Partial<Pick<MakingStep, 'stage' | 'needleId'>>) => void;
}

/** With no pattern yet: what it was for, and which needle was in the hand. */
function ByWhat({ step: { stage, needleId }, onStep }: ByWhatProps) {
  const needles = useNeedles().data?.items ?? [];
  return (
    <div className={styles.nameFields}>
      <Choice<Stage>
        label="For"
        value={stage}
        words={STAGE_WORDS}
        among={STAGES}
        onChoose={(chosen) => chosen && onStep({ stage: chosen })}
      />
      <Choice<string>
        label="Needle"
        value={needleId}
        words={Object.fromEntries(needles.map((needle) => [needle.id, needleName(needle)]))}
        none="not said"
        onChoose={(chosen) => onStep({ needleId: chosen })}
      />
    </div>
  );
}

/** 3:05, as a watch says it. */
function watchWords(minutes: number): string {
  const seconds = Math.floor(minutes * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} stop`;
}

const LONGEST = 110;

/** The beginning of a step’s words, without marks. */
function plainStart(text: string): string {
  const plain = text.replaceAll(/[*_#>`]/g, '').trim();
  return plain.length <= LONGEST ? plain : `${plain.slice(0, LONGEST).replace(/\s+\S*$/, '')} …`;
}
