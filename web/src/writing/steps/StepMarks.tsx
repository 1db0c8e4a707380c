import { type Caution, CAUTIONS, DEPTHS, type Step, STROKES } from '@lanakit/core/pattern';
import type { NeedleWanted } from '@lanakit/core/shelf';
import { CAUTION_NAMES, DEPTH_WORDS, minutesWords, STROKE_WORDS } from '@lanakit/core/words';
import { Button, Popover } from 'antd';
import type { ReactNode } from 'react';
import {
  CautionMark,
  CheckMark,
  DepthMark,
  NeedleMarkShort,
  PictureMark,
  RepeatMark,
  StrokeMark,
  WaitMark,
} from '../../ui/marks.tsx';
import styles from './Steps.module.css';

interface StepMarksProps {
  step: Step;
  needle: NeedleWanted | null;
  /** How often it is done. */
  times: number;
  isWaitedFor: boolean;
  cautions: readonly Caution[];
}

/** Everything about a step that an eye should catch without reading. */
export function StepMarks({ step, needle, times, isWaitedFor, cautions }: StepMarksProps) {
  return (
    <span className={styles.marks}>
      {cautions.map((caution) => (
        <CautionMark key={caution} caution={caution} />
      ))}
      {step.checks.length > 0 && <CheckMark count={step.checks.length} />}
      {step.pictures.length > 0 && <PictureMark />}
      {times > 1 && <RepeatMark times={times} />}
      {isWaitedFor && <WaitMark />}
      {step.stroke && <StrokeMark stroke={step.stroke} />}
      {step.depth && <DepthMark depth={step.depth} />}
      {needle !== null && (
        <span className={styles.needle}>
          <NeedleMarkShort wanted={needle} />
        </span>
      )}
      {step.minutes !== null ? (
        <span className={styles.minutes}>{minutesWords(step.minutes)}</span>
      ) : (
        step.act.kind !== 'wait' && <span className={`red ${styles.minutes}`}>? min</span>
      )}
    </span>
  );
}

/** What each mark means, in words beside it. */
export function MarksKey() {
  return (
    <Popover
      trigger="click"
      placement="bottomRight"
      content={
        <div className={styles.key}>
          <h4>Stroke and depth</h4>
          {STROKES.map((stroke) => (
            <KeyLine key={stroke} words={STROKE_WORDS[stroke]} mark={<StrokeMark stroke={stroke} />} />
          ))}
          {DEPTHS.map((depth) => (
            <KeyLine key={depth} words={DEPTH_WORDS[depth]} mark={<DepthMark depth={depth} />} />
          ))}
          <h4>Before and after</h4>
          {CAUTIONS.map((caution) => (
            <KeyLine key={caution} words={CAUTION_NAMES[caution]} mark={<CautionMark caution={caution} />} />
          ))}
          <KeyLine words="a check" mark={<CheckMark count={1} />} />
          <KeyLine words="sets or dries" mark={<WaitMark />} />
          <KeyLine words="done several times" mark={<RepeatMark times={2} />} />
          <KeyLine words="has a picture" mark={<PictureMark />} />
        </div>
      }
    >
      <Button size="small">Key to the marks</Button>
    </Popover>
  );
}

const KeyLine = ({ mark, words }: { mark: ReactNode; words: string }) => (
  <span className={styles.keyLine}>
    {mark} {words}
  </span>
);
