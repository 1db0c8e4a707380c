import type { DeviceRole, NetworkState, PairingOffer } from '@lanakit/core/api';
import { Button, Checkbox, Input } from 'antd';
import { useEffect, useState } from 'react';
import { offerPairing, withdrawOffers } from '../api/mutations/network.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { Choice } from '../ui/fields/Choice.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { DEVICE_MAY, ROLE_WORDS } from '../words/roleWords.ts';
import { CodePicture } from './CodePicture.tsx';
import styles from './Network.module.css';

/** Lets one more device in: named, with what it may, by a code that is typed or photographed there. */
export function PairForm({ network }: { network: NetworkState }) {
  const attempt = useAttempt();
  const [name, setName] = useState('');
  const [role, setRole] = useState<DeviceRole>('helper');
  const [seesNames, setSeesNames] = useState(false);
  const offer = () =>
    attempt(async () => {
      await perform(offerPairing({ name: name.trim(), role, seesNames: role === 'owner' || seesNames }));
      setName('');
      return undefined;
    });
  return (
    <>
      <h2>Let a device in</h2>
      {network.offers.map((open) => (
        <Offer key={open.code} offer={open} url={network.urls[0]} />
      ))}
      <form
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          void offer();
        }}
      >
        <Field label="What it is called" hint="As it stands in the log: “Tablet at the scale”.">
          {(control) => (
            <Input
              {...control}
              value={name}
              maxLength={40}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        <Choice<DeviceRole>
          label="As"
          value={role}
          words={{ helper: ROLE_WORDS.helper, owner: ROLE_WORDS.owner }}
          hint={DEVICE_MAY[role]}
          onChoose={(next) => setRole(next ?? 'helper')}
        />
        {role === 'helper' && (
          <Checkbox checked={seesNames} onChange={(event) => setSeesNames(event.target.checked)}>
            It sees who comes; else only “Seat 3”
          </Checkbox>
        )}
        <Button type="primary" htmlType="submit" disabled={name.trim() === ''}>
          Show a code
        </Button>
      </form>
    </>
  );
}

function Offer({ offer: { code, name, endsAt }, url }: { offer: PairingOffer; url: string | undefined }) {
  const attempt = useAttempt();
  const left = useMinutesUntil(endsAt);
  return (
    <section className={styles.offer} aria-label={`Code for ${name}`}>
      <span>
        For <b>{name}</b>, {left}
      </span>
      <b className={styles.code}>{code}</b>
      {url !== undefined && (
        <>
          <CodePicture value={`${url}/pair#pair=${code}`} size={180} />
          <span className="quiet small">Photograph it there, or open {url} and type the code.</span>
        </>
      )}
      <Button
        size="small"
        onClick={() =>
          void attempt(async () => {
            await perform(withdrawOffers());
            return undefined;
          })
        }
      >
        Withdraw it
      </Button>
    </section>
  );
}

const TICK_MS = 1000;

function useMinutesUntil(endsAt: string): string {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.round((Date.parse(endsAt) - now) / 1000));
  return seconds === 0
    ? 'over'
    : `good for ${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
