import { useContext } from 'react';
import { apiPath } from '../api/studio.ts';
import type { PatternEstimate, Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import {
  bagOfPattern,
  type InBag,
  type Reader,
  type Reading,
  type ReadingSession,
  type ReadingStep,
  type StepPicture,
} from '@lanakit/core/reading';
import {
  actWords,
  CAUTION_NAMES,
  CAUTION_WORDS,
  DEPTH_WORDS,
  minutesWords,
  stillAfter,
  STROKE_WORDS,
  wantedName,
} from '@lanakit/core/words';
import { StepDrawing } from '../figure/StepDrawing.tsx';
import { useStepPictures } from '../figure/useStepPictures.ts';
import { CautionMark, DepthMark, StrokeMark } from '../ui/marks.tsx';
import { STAGE_WORDS } from '../words/show.ts';
import { Proof } from './Proof.tsx';
import styles from './Reading.module.css';
import type { Packed } from '@lanakit/core/papers';
import { StepTicksContext } from './stepTicks.ts';
import { StepWoolLines } from './StepWoolLines.tsx';
import { Text } from './Text.tsx';

interface SittingsProps {
  reading: Reading;
  build: Pattern;
  estimate: PatternEstimate;
  wool: Wool;
  /** What is in the bag; null: what the pattern takes. */
  packed: Packed | null;
  reader: Reader;
}

/** All sittings, after each what should still be in the bag. */
export function Sittings({ reading, build, estimate, wool, packed, reader }: SittingsProps) {
  const made = useStepPictures(build, build.drawnStepIds, wool);
  const inBag: readonly InBag[] = packed?.wool ?? bagOfPattern(estimate);
  return reading.sessions.map((sitting, index) => {
    const isLast = index === reading.sessions.length - 1;
    const told = {
      build,
      estimate,
      wool,
      reader,
      inBag,
      copies: packed?.copies ?? 1,
      spares: packed?.spares ?? null,
    };
    return (
      <Sitting
        key={sitting.session?.id ?? index}
        sitting={sitting}
        build={build}
        wool={wool}
        bagOf={packed?.bagOf}
        made={made}
        still={stillAfter(sitting, isLast, told)}
      />
    );
  });
}

interface SittingProps {
  sitting: ReadingSession;
  build: Pattern;
  wool: Wool;
  bagOf: ReadonlyMap<string, string> | undefined;
  /** Pictures that are made from the figure, by step. */
  made: ReadonlyMap<string, StepPicture>;
  /** What should still be in the bag after it; empty: nothing is told. */
  still: string;
}

/** One sitting: what lies there, its stages and steps, where it may be left. */
function Sitting({ sitting: { session, stages }, build, wool, bagOf, made, still }: SittingProps) {
  return (
    <section className={styles.sitting}>
      {session && (
        <header className={styles.session}>
          <h2>{session.name}</h2>
          {session.startState !== '' && <p>On the table: {session.startState}</p>}
        </header>
      )}
      {stages.map(({ stage, steps }) => (
        <section key={steps[0]?.step.id ?? stage}>
          <h3 className={styles.stage}>{STAGE_WORDS[stage]}</h3>
          {steps.map((step) => (
            <ReadStep
              key={step.step.id}
              readingStep={step}
              build={build}
              wool={wool}
              bagOf={bagOf}
              made={made}
            />
          ))}
        </section>
      ))}
      {session && (session.safeStop !== '' || session.homework !== '') && (
        <p className={styles.stop}>
          {session.safeStop !== '' && (
            <>
              <b>Safe stop.</b> {session.safeStop}{' '}
            </>
          )}
          {session.homework !== '' && (
            <>
              <b>Until next time:</b> {session.homework}
            </>
          )}
        </p>
      )}
      {still !== '' && <p className={styles.still}>{still}</p>}
    </section>
  );
}

interface ReadStepProps extends Pick<SittingProps, 'build' | 'wool' | 'bagOf' | 'made'> {
  readingStep: ReadingStep;
}

function ReadStep({ readingStep, build, wool, bagOf, made }: ReadStepProps) {
  const { step, number, extra, cautions, ticks, recalls, returns } = readingStep;
  const act = actWords(readingStep, build);
  const picture = made.get(step.id);
  const stepTicks = useContext(StepTicksContext);
  const isDone = stepTicks?.isDone(step.id) === true;
  return (
    <div className={`${styles.step} ${isDone ? styles.isDone : ''}`}>
      {cautions.map((caution) => (
        <p key={caution} className={styles.caution}>
          <CautionMark caution={caution} />
          <span>
            <b>{CAUTION_NAMES[caution]}.</b> {CAUTION_WORDS[caution]}
          </span>
        </p>
      ))}
      <div className={styles.stepBody}>
        {stepTicks ? (
          <button
            type="button"
            className={styles.tick}
            aria-pressed={isDone}
            aria-label={`Step ${number} done`}
            onClick={() => stepTicks.toggle(step.id)}
          >
            {isDone ? '✓' : number}
          </button>
        ) : (
          <span className={styles.number}>{number}</span>
        )}
        <div className={styles.words}>
          <Text markdown={[step.text, extra].filter((text) => text !== '').join(' ')} />
          {readingStep.wool && (
            <StepWoolLines of={readingStep.wool} build={build} wool={wool} bagOf={bagOf} />
          )}
          {act !== '' && <p className={styles.small}>{act}</p>}
          {recalls && (
            <p className={styles.small}>
              As you decided in step {recalls.number}: {recalls.question}.
            </p>
          )}
          {ticks.length > 1 && (
            <p className={styles.ticks}>
              {ticks.map((note, index) => (
                <span key={index}>
                  <span className={styles.box} /> {note || index + 1}
                </span>
              ))}
            </p>
          )}
          {step.cue !== '' && (
            <p className={styles.small}>
              <b>Stop or change when</b> {step.cue}.
            </p>
          )}
          {step.checks.map((check) => {
            const back = returns.get(check.id);
            return (
              <p key={check.id} className={styles.check}>
                <b>Check</b> {check.look}
                {check.how !== '' && `, ${check.how}`}: {check.pass}. <b>If not</b>, {check.remedy}
                {back !== undefined && ` (back to step ${back})`}.
              </p>
            );
          })}
        </div>
        <Marks readingStep={readingStep} />
      </div>
      <Proof id={step.id} />
      {(step.pictures.length > 0 || picture) && (
        <div className={styles.pictures}>
          {picture && (
            <figure>
              <StepDrawing
                picture={picture}
                name={`The figure as far as step ${number}`}
                width={264}
                height={190}
              />
            </figure>
          )}
          {step.pictures.map(({ id, pictureId, caption }) => (
            <figure key={id}>
              <img
                src={apiPath(`/pictures/${pictureId}`)}
                alt={build.pictures.find((picture) => picture.id === pictureId)?.alt || caption}
              />
              {caption !== '' && <figcaption>{caption}</figcaption>}
            </figure>
          ))}
        </div>
      )}
    </div>
  );
}

/** Needle, stroke, depth and time beside the words, each with its name. */
function Marks({ readingStep: { step, needle, isNeedleNew } }: { readingStep: ReadingStep }) {
  return (
    <div className={styles.marks}>
      {needle !== null && (
        <span className={isNeedleNew ? styles.newNeedle : undefined}>
          <b>{wantedName(needle)}</b> needle
          {step.holder !== null && step.holder > 1 && ` ×${step.holder}`}
        </span>
      )}
      {step.stroke && (
        <span>
          <StrokeMark stroke={step.stroke} /> {STROKE_WORDS[step.stroke]}
        </span>
      )}
      {step.depth && (
        <span>
          <DepthMark depth={step.depth} /> {DEPTH_WORDS[step.depth]}
        </span>
      )}
      {step.minutes !== null && <span>{minutesWords(step.minutes)}</span>}
      {step.waiting !== null && <span>then waits {minutesWords(step.waiting)}</span>}
    </div>
  );
}
