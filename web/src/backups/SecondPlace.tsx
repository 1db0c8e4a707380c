import type { Keeping } from '@lanakit/core/api';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { setSecondPlace } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { Field } from '../ui/fields/Field.tsx';

/** Where each backup is copied to as well: a stick, another disk, a directory that is synced elsewhere. */
export function SecondPlace({ keeping: { secondPlace } }: { keeping: Keeping }) {
  const attempt = useAttempt();
  const stored = secondPlace?.path ?? '';
  const [path, setPath] = useState(stored);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async (next: string | null) => {
    setProblem(null);
    await attempt(
      async () => {
        await perform(setSecondPlace(next));
        return {
          text: next === null ? 'Backups stay on this disk.' : 'The next backup is copied there as well.',
        };
      },
      ({ problem: { errors, title } }) => {
        setProblem(errors?.[0]?.message ?? title);
        return true;
      },
    );
  };
  const trimmed = path.trim();
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep(trimmed === '' ? null : trimmed);
      }}
    >
      <Field
        label="A second place"
        problem={problem}
        hint="A directory on this machine: a stick, another disk, one that is synced elsewhere. A disk that dies takes what lies on it along."
      >
        {(control) => (
          <Input
            {...control}
            value={path}
            placeholder="/media/stick/lanakit"
            onChange={(event) => setPath(event.target.value)}
          />
        )}
      </Field>
      {trimmed !== stored && (
        <Button size="small" htmlType="submit" className="above-2">
          {trimmed === '' ? 'Keep them here only' : 'Copy them there as well'}
        </Button>
      )}
    </form>
  );
}
