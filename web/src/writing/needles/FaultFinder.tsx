import {
  faultOf,
  type Ladder,
  type Suspect,
  suspectsOf,
  type Symptom,
  SYMPTOMS,
} from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import type { NeedleWanted } from '@lanakit/core/shelf';
import { capital, SYMPTOM_WORDS, wantedName } from '@lanakit/core/words';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import styles from './Ladder.module.css';
import { numberIn } from '../../ui/readout.ts';

interface FaultFinderProps {
  ladder: Ladder;
  numbered: Pattern;
  onRead: (stepId: string) => void;
  onOverride: (stepId: string, wanted: NeedleWanted | null) => void;
}

/** What is wrong with the work in the hand, which of this pattern’s steps may have done it, and what mends it. */
export function FaultFinder({ ladder, numbered, onRead, onOverride }: FaultFinderProps) {
  const [symptom, setSymptom] = useState<Symptom | null>(null);
  const causes = useMemo(() => (symptom ? byFault(suspectsOf(symptom, ladder)) : []), [symptom, ladder]);
  return (
    <section className={styles.finder} aria-label="What went wrong">
      <h3>What went wrong?</h3>
      <div className={styles.symptoms}>
        {SYMPTOMS.map((offered) => (
          <Button
            key={offered}
            size="small"
            aria-pressed={offered === symptom}
            type={offered === symptom ? 'primary' : 'default'}
            onClick={() => setSymptom(offered === symptom ? null : offered)}
          >
            {SYMPTOM_WORDS[offered]}
          </Button>
        ))}
      </div>
      {symptom && causes.length === 0 && (
        <p className="quiet">
          No step of this pattern gives cause for that. Look at the hand: too deep, or too long?
        </p>
      )}
      {causes.map(({ fault, suspects }) => {
        const { cause, remedy } = faultOf(fault);
        const better = suspects.find((suspect) => suspect.better !== null);
        return (
          <div key={fault} className={styles.cause}>
            <b>{capital(cause)}</b>{' '}
            <span className="quiet">
              in step{suspects.length > 1 ? 's' : ''}{' '}
              {suspects.map(({ stepId }, index) => (
                <span key={stepId}>
                  {index > 0 && ', '}
                  <button
                    type="button"
                    className={`plain-button ${styles.stepLink}`}
                    onClick={() => onRead(stepId)}
                  >
                    {numberIn(numbered, stepId)}
                  </button>
                </span>
              ))}
            </span>
            <p>
              {remedy}{' '}
              {better?.better && (
                <Button
                  size="small"
                  onClick={() => better.better && onOverride(better.stepId, better.better)}
                >
                  Take the {wantedName(better.better)} in step {numberIn(numbered, better.stepId)}
                </Button>
              )}
            </p>
          </div>
        );
      })}
    </section>
  );
}

function byFault(suspects: readonly Suspect[]): { fault: Suspect['fault']; suspects: Suspect[] }[] {
  const groups = new Map<Suspect['fault'], Suspect[]>();
  for (const suspect of suspects) groups.set(suspect.fault, [...(groups.get(suspect.fault) ?? []), suspect]);
  return [...groups].map(([fault, group]) => ({ fault, suspects: group }));
}
