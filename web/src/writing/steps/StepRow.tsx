import type { Caution, Step } from '@lanakit/core/pattern';
import type { NeedleWanted } from '@lanakit/core/shelf';
import { ACT_WORDS } from '@lanakit/core/words';
import { memo } from 'react';
import lists from '../../ui/Lists.module.css';
import { plainText } from '../../draft/markdownEdits.ts';
import { RemarkMark } from '../table/RemarkMark.tsx';
import { StepMarks } from './StepMarks.tsx';
import styles from './Steps.module.css';

export interface StepHeadProps {
  step: Step;
  number: number;
  isOpen: boolean;
  /** Made in the build that is looked at. */
  isInBuild: boolean;
  needle: NeedleWanted | null;
  times: number;
  isWaitedFor: boolean;
  cautions: readonly Caution[];
  /** Numbers of the parts it acts on, with a space between. */
  partNumbers: string;
  onToggle: (stepId: string) => void;
}

/** One step at a glance. It draws itself anew only when something of it changes: a long pattern has two hundred. */
export const StepHead = memo(
  function StepHead({ step, number, isOpen, isInBuild, partNumbers, onToggle, ...marks }: StepHeadProps) {
    return (
      <button
        type="button"
        data-row-head
        className={`${lists.head} ${styles.head}`}
        aria-expanded={isOpen}
        onClick={() => onToggle(step.id)}
      >
        <span className={lists.stepNumber}>{number}</span>
        <span className={lists.main}>
          {isOpen ? (
            <b>Step {number}</b>
          ) : (
            <span className={styles.text}>
              {plainText(step.text) || <span className="quiet">Nothing written yet</span>}
            </span>
          )}
          <span className={styles.act}>
            {ACT_WORDS[step.act.kind]}{' '}
            {partNumbers.split(' ').map(
              (part) =>
                part !== '' && (
                  <span key={part} className={styles.part}>
                    {part}
                  </span>
                ),
            )}{' '}
            {!isInBuild && '· not in this build'}
          </span>
        </span>
        <StepMarks step={step} {...marks} />
        <RemarkMark id={step.id} />
      </button>
    );
  },
  (before, after) => {
    const { cautions: was, ...rest } = before;
    const { cautions, ...now } = after;
    return (
      was.join() === cautions.join() &&
      (Object.keys(now) as (keyof typeof now)[]).every((key) => now[key] === rest[key])
    );
  },
);
