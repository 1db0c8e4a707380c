import type { ResolveInput } from '@lanakit/core/needles';
import { type Needle, needleName } from '@lanakit/core/shelf';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Field } from '../ui/fields/Field.tsx';
import styles from './Tray.module.css';

interface MissingNeedleProps {
  needle: Needle;
  missing: number;
  /** Words of what stands in its way; null when it is done. */
  onResolve: (input: Omit<ResolveInput, 'key'>) => Promise<string | null>;
}

/** A needle that is missing stays told until it is found, or given up with a reason. */
export function MissingNeedle({ needle, missing, onResolve }: MissingNeedleProps) {
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const resolve = async (how: ResolveInput['how']) => {
    const refused = await onResolve({ needleId: needle.id, how, amount: 1, note });
    setProblem(refused);
    if (refused === null) setNote('');
  };
  return (
    <div className={styles.missingNeedle}>
      <b className="red">
        {missing} × {needleName(needle)} missing
      </b>
      <Field
        label={`Where it was, or where you looked: ${needleName(needle)}`}
        isLabelHidden
        problem={problem}
      >
        {(control) => (
          <Input
            {...control}
            size="large"
            value={note}
            maxLength={200}
            placeholder="where it was, or where you looked"
            onChange={(event) => setNote(event.target.value)}
          />
        )}
      </Field>
      <Button size="large" type="primary" onClick={() => void resolve('found')}>
        Found one
      </Button>
      <Button size="large" onClick={() => void resolve('given-up')}>
        Give one up
      </Button>
    </div>
  );
}
