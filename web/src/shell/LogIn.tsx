import type { SessionState } from '@lanakit/core/api';
import { Button, Input, Segmented } from 'antd';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { errorWords, send } from '../api/client.ts';
import { isKnownNow } from '../api/whoComes.ts';
import { waitingHere, type WaitingHere } from '../draft/waitingHere.ts';
import { Field } from '../ui/fields/Field.tsx';
import { counted } from '../words/show.ts';
import styles from './LogIn.module.css';
import { useNotice } from './Notice.tsx';
import { pairedHere, rememberPaired } from './pairedHere.ts';

type Way = 'passphrase' | 'code';

const WAYS: readonly { value: Way; label: string }[] = [
  { value: 'passphrase', label: 'Passphrase' },
  { value: 'code', label: 'A code' },
];

/** A code that came along in the address, as by the picture of it: what stands after # is sent to nobody. */
const codeInAddress = (): string =>
  window.location.hash.startsWith('#pair=') ? window.location.hash.slice('#pair='.length) : '';

/** Over whatever was open, which stays as it is beneath: the studio asks who is there. */
export function LogIn() {
  const { mutate } = useSWRConfig();
  const say = useNotice();
  const [wasPaired] = useState(pairedHere);
  const [given] = useState(codeInAddress);
  const [waiting] = useState(waitingHere);
  const [way, setWay] = useState<Way>(given !== '' || wasPaired !== null ? 'code' : 'passphrase');
  const [typed, setTyped] = useState(given);
  const [problem, setProblem] = useState<string | null>(null);
  const [isAsking, setAsking] = useState(false);
  const enter = async () => {
    setAsking(true);
    setProblem(null);
    try {
      if (way === 'code') await send('POST', '/session/pairing', { body: { code: typed } });
      else await send('POST', '/session', { body: { passphrase: typed } });
      const session = await send<SessionState>('GET', '/session');
      rememberPaired(session.deviceName);
      if (given !== '') window.history.replaceState(null, '', window.location.pathname);
      isKnownNow();
      // What waits here is sent now, and not at the next look.
      window.dispatchEvent(new Event('online'));
      await mutate(() => true);
      if (session.wrongTries)
        say({
          text: `Wrong passphrases and codes within the last hour: ${session.wrongTries}.`,
          isProblem: true,
        });
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
        <h1>{wasPaired === null ? 'Who is there?' : `“${wasPaired}” is no longer let in`}</h1>
        <p>
          {wasPaired === null
            ? 'This studio is open to its network, and answers only whom its owner lets in.'
            : 'Its owner shut it out, or it was not here for two months. A new code lets it in again.'}
        </p>
        <Waiting waiting={waiting} />
        <Segmented<Way>
          block
          aria-label="How you come in"
          value={way}
          options={[...WAYS]}
          onChange={(next) => {
            setWay(next);
            setTyped('');
            setProblem(null);
          }}
        />
        <Field
          key={way}
          label={way === 'code' ? 'Code' : 'Passphrase'}
          problem={problem}
          hint={
            way === 'code'
              ? 'It is on the owner’s screen, under Network, and lets in one device, for ten minutes.'
              : null
          }
        >
          {(control) => {
            const shared = {
              ...control,
              autoFocus: true,
              value: typed,
              status: problem ? ('error' as const) : ('' as const),
              onChange: (event: { target: { value: string } }) => setTyped(event.target.value),
            };
            return way === 'code' ? (
              <Input
                {...shared}
                className={styles.code ?? ''}
                autoComplete="off"
                spellCheck={false}
                maxLength={20}
              />
            ) : (
              <Input.Password {...shared} autoComplete="current-password" maxLength={200} />
            );
          }}
        </Field>
        <Button type="primary" htmlType="submit" size="large" disabled={typed.trim() === '' || isAsking}>
          {way === 'code' ? 'Pair this device' : 'Enter'}
        </Button>
        <a href="/pack">I have the code of a pack</a>
      </form>
    </main>
  );
}

/** What was done here and not sent is kept here, and said. */
function Waiting({ waiting: { done, drafts } }: { waiting: WaitingHere }) {
  const what = [
    ...(done > 0 ? [`${counted(done, 'tick')} not sent yet`] : []),
    ...(drafts > 0 ? [`${counted(drafts, 'text')} not saved yet`] : []),
  ];
  if (what.length === 0) return null;
  return (
    <p className="amber">{what.join(' and ')}: kept on this device, and sent when it is let in again.</p>
  );
}
