import type { DeviceLine, NetworkState } from '@lanakit/core/api';
import { Button, Checkbox, Popconfirm } from 'antd';
import { changeDevice, shutOut } from '../api/mutations/network.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useNetwork } from '../api/queries.ts';
import { StillLoading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { showMoment } from '../words/keepingWords.ts';
import { DEVICE_MAY, ROLE_WORDS } from '../words/roleWords.ts';
import { counted } from '../words/show.ts';
import styles from './Network.module.css';
import { PairForm } from './PairForm.tsx';

/** Where the studio is found, which devices it lets in, and letting in another. */
export function DevicesSide() {
  const { data, error } = useNetwork();
  if (!data) return <StillLoading error={error} />;
  return (
    <div className={styles.columns}>
      <section className={`sheet ${styles.main}`} aria-label="Devices">
        <Where network={data} />
        {data.isOpened && <Devices devices={data.devices} />}
      </section>
      {data.isOpened && (
        <aside className={`sheet ${styles.aside}`} aria-label="Let a device in">
          <PairForm network={data} />
        </aside>
      )}
    </div>
  );
}

function Where({
  network: { isOpened, isSecure, urls, passphraseSetAt, wrongTries },
}: {
  network: NetworkState;
}) {
  if (!isOpened)
    return (
      <div className={styles.where}>
        <h2>Only this machine reaches it</h2>
        <p>
          Nobody else on your network sees this studio, and nobody is asked who they are. To have a tablet at
          the scale, a helper’s laptop or learners’ phones come in, open it:
        </p>
        <ol>
          <li>
            <code>npm run passphrase</code> asks for the owner’s passphrase.
          </li>
          <li>
            <code>npm run certificate</code>, on a network that others use too, makes what TLS needs.
          </li>
          <li>
            <code>LANAKIT_HOST=0.0.0.0 npm start</code> opens it. Then devices are let in here.
          </li>
        </ol>
      </div>
    );
  const [first, ...others] = urls;
  return (
    <div className={styles.where}>
      <h2>Open to its network</h2>
      <p>
        {first === undefined ? (
          'This machine has no address on a network just now.'
        ) : (
          <>
            <code className={styles.url}>{first}</code>
            {others.length > 0 && <span className="quiet small"> also {others.join(', ')}</span>}
          </>
        )}
      </p>
      {isSecure ? (
        <p className="leaf">Over TLS: nobody on the network reads along.</p>
      ) : (
        <p className="amber">
          Without TLS: whoever is on this network can read along, the passphrase too. On a network others use,
          make a certificate first: <code>npm run certificate</code>.
        </p>
      )}
      {passphraseSetAt !== null && (
        <p className="quiet small">Its passphrase was set {showMoment(passphraseSetAt)}.</p>
      )}
      {wrongTries > 0 && (
        <p className="red">
          {counted(wrongTries, 'wrong passphrase or code', 'wrong passphrases and codes')} within the last
          hour.
        </p>
      )}
    </div>
  );
}

function Devices({ devices }: { devices: readonly DeviceLine[] }) {
  return (
    <>
      <h2>Let in</h2>
      <ul className={styles.devices}>
        {devices.map((device) => (
          <Device key={device.id} device={device} />
        ))}
      </ul>
      <p className="quiet small above-2">
        Who came by the passphrase is out after eight hours without a request, or when Lanakit is started
        anew. A paired device stays until it is shut out, or was not here for two months.
      </p>
    </>
  );
}

function Device({ device }: { device: DeviceLine }) {
  const { id, name, role, seesNames, came, seenAt, address, isThis } = device;
  const attempt = useAttempt();
  const out = () =>
    attempt(async () => {
      await perform(shutOut(id));
      return { text: `“${name}” is shut out. What it had not sent is kept on it, and it says so.` };
    });
  return (
    <li>
      <span className={styles.name}>
        <b>{name}</b>
        <span className="quiet small">
          {isThis ? 'this one' : came === 'paired' ? 'paired' : 'by the passphrase'}
        </span>
      </span>
      <span>
        {ROLE_WORDS[role]}
        <span className="quiet small">{address}</span>
      </span>
      <span>
        <span className="quiet small">here last {showMoment(seenAt)}</span>
        {role === 'helper' && (
          <Checkbox
            checked={seesNames}
            onChange={(event) =>
              void attempt(async () => {
                await perform(changeDevice(id, { name, seesNames: event.target.checked }));
                return undefined;
              })
            }
          >
            sees who comes
          </Checkbox>
        )}
      </span>
      {isThis ? (
        <span className="quiet small">{DEVICE_MAY[role]}</span>
      ) : (
        <Popconfirm
          title={`Shut “${name}” out?`}
          description="At once, whatever it is in the middle of."
          okText="Shut it out"
          cancelText="Leave it in"
          onConfirm={() => void out()}
        >
          <Button size="small" aria-label={`Shut out ${name}`}>
            Shut out…
          </Button>
        </Popconfirm>
      )}
    </li>
  );
}
