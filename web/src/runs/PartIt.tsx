import type { PartingStep } from '@lanakit/core/run';
import { Button } from 'antd';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import styles from '../scale/Scale.module.css';
import { showWeighed } from '../words/show.ts';

interface PartItProps {
  name: string;
  steps: readonly PartingStep[];
  bags: string;
  stepG: number;
  onParted: () => void;
}

/** What was weighed for several is parted, one step after another. */
export function PartIt({ name, steps, bags, stepG, onParted }: PartItProps) {
  const [at, setAt] = useState(0);
  const step = steps[at];
  const isLast = at >= steps.length - 1;
  const on = () => (isLast ? onParted() : setAt(at + 1));
  useHotkeys('enter', on, { preventDefault: true }, [at, onParted]);
  return (
    <div className={styles.parting}>
      <p className={styles.whose}>Part it</p>
      <p className="quiet">{name}</p>
      {step && (
        <p role="status">
          <b>
            {at + 1} of {steps.length}: {step.into === 2 ? 'halve' : `part in ${step.into}`}{' '}
            {at === 0 ? 'it' : 'each'}
          </b>
          . {step.pieces} pieces of about {showWeighed(step.eachG, stepG)}
          {isLast && `, one into each bag of ${bags}`}.
        </p>
      )}
      <div className={styles.acts}>
        <Button size="large" type="primary" autoFocus onClick={on}>
          {isLast ? 'Parted: the next' : 'Done'} <kbd>Enter</kbd>
        </Button>
      </div>
    </div>
  );
}
