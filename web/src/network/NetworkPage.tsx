import { Segmented } from 'antd';
import { useNavigate, useParams } from 'react-router';
import { NotFound } from '../shell/NotFound.tsx';
import { DevicesSide } from './DevicesSide.tsx';
import styles from './Network.module.css';
import { PersonsSide } from './PersonsSide.tsx';
import { WritesSide } from './WritesSide.tsx';

const SIDES = { devices: 'Devices', log: 'Who did what', persons: 'Persons' } as const;
type Side = keyof typeof SIDES;

/** Who comes in, what they did, and who is named: all that a studio has to answer for to others. */
export function NetworkPage() {
  const { side = 'devices' } = useParams();
  const navigate = useNavigate();
  if (!(side in SIDES)) return <NotFound />;
  return (
    <main className={styles.page}>
      <header className={styles.top}>
        <h1>Network</h1>
        <Segmented<Side>
          aria-label="What of it"
          value={side as Side}
          options={(Object.keys(SIDES) as Side[]).map((value) => ({ value, label: SIDES[value] }))}
          onChange={(next) => void navigate(next === 'devices' ? '/network' : `/network/${next}`)}
        />
      </header>
      {side === 'devices' && <DevicesSide />}
      {side === 'log' && <WritesSide />}
      {side === 'persons' && <PersonsSide />}
    </main>
  );
}
