import type { SessionState } from '@lanakit/core/api';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { errorWords, send } from '../api/client.ts';
import { isKnownNow } from '../api/whoComes.ts';
import { Field } from '../ui/fields/Field.tsx';
import styles from './LogIn.module.css';
import { useNotice } from './Notice.tsx';

/** Over whatever was open, which stays as it is beneath: the studio asks who is there. */
export function LogIn() {
  const { mutate } = useSWRConfig();
  const say = useNotice();
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [isAsking, setAsking] = useState(false);
  const enter = async () => {
    setAsking(true);
    setProblem(null);
    try {
      await send('POST', '/session', { body: { passphrase } });
      const { wrongTries } = await send<SessionState>('GET', '/session');
      isKnownNow();
      await mutate(() => true);
      if (wrongTries)
        say({ text: `Wrong passphrases within the last hour: ${wrongTries}.`, isProblem: true });
    } catch (error) {
      setProblem(errorWords(error));
      setAsking(false);
    }
  };
  return (
    <main className={styles.over} aria-label="Who is there?">
      <form
        className={`sheet ${styles.form}`}
        onSubmit={(event) => {
          event.preventDefault();
          void enter();
        }}
      >
        <h1>Who is there?</h1>
        <p>
          This studio is open to its network, and answers only its owner. What you wrote is kept on this
          device.
        </p>
        <Field label="Passphrase" problem={problem}>
          {(control) => (
            <Input.Password
              {...control}
              autoFocus
              autoComplete="current-password"
              value={passphrase}
              maxLength={200}
              status={problem ? 'error' : ''}
              onChange={(event) => setPassphrase(event.target.value)}
            />
          )}
        </Field>
        <Button type="primary" htmlType="submit" disabled={passphrase === '' || isAsking}>
          Enter
        </Button>
      </form>
    </main>
  );
}
