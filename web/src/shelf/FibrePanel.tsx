import type { Promised } from '@lanakit/core/api';
import { drawerOf, type Fibre, lotInUse, ofLot } from '@lanakit/core/shelf';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { showDay, showGrams } from '../words/show.ts';
import { FibreForm } from './FibreForm.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import { LotsSection } from './LotsSection.tsx';
import styles from './Panel.module.css';
import { Substitutes } from './Substitutes.tsx';
import { UsedIn } from './UsedIn.tsx';

type Tab = 'stock' | 'properties' | 'closest';

interface FibrePanelProps {
  fibre: Fibre;
  promised: Promised | undefined;
}

/** One fibre: what is there of it, what it is like, and what could stand in for it. */
export function FibrePanel({ fibre, promised }: FibrePanelProps) {
  const [tab, setTab] = useState<Tab>('stock');
  return (
    <>
      <header className={styles.head}>
        <div className={styles.headLine}>
          <h2>{fibre.name}</h2>
          <span className="quiet">{PREPARATION_WORDS[fibre.preparation]}</span>
        </div>
        <FibreSwatch fibre={ofLot(fibre, lotInUse(fibre))} width={null} height={48} />
        <Segmented<Tab>
          aria-label="What to see of it"
          block
          value={tab}
          onChange={setTab}
          options={[
            { value: 'stock', label: 'Stock' },
            { value: 'properties', label: 'Properties' },
            { value: 'closest', label: 'Closest' },
          ]}
        />
      </header>
      {tab === 'stock' && (
        <>
          <StockFigures onHandG={fibre.onHandG} promised={promised} />
          <LotsSection itemId={fibre.id} lots={fibre.lots} preparation={fibre.preparation} fibre={fibre} />
          <LedgerSection itemId={fibre.id} unit="g" lots={fibre.lots} />
          <UsedIn path={`/fibres/${fibre.id}`} />
        </>
      )}
      {tab === 'properties' && <FibreForm fibre={fibre} onSaved={() => undefined} />}
      {tab === 'closest' && <Substitutes colour={fibre.colour} except={fibre.id} />}
    </>
  );
}

/** On hand, promised, free; and who it is promised to. */
export function StockFigures({
  onHandG,
  promised,
}: {
  onHandG: number | null;
  promised: Promised | undefined;
}) {
  const promisedG = promised?.amount ?? 0;
  const drawer = drawerOf(onHandG, 0, promisedG);
  const isShort = (drawer?.short ?? 0) > 0;
  return (
    <>
      <dl className={styles.figures}>
        <dt>On hand</dt>
        <dd className="num">
          {onHandG === null ? <span className="red">not counted</span> : showGrams(onHandG)}
        </dd>
        <dt>Promised</dt>
        <dd className="num">{showGrams(promisedG)}</dd>
        <dt>{isShort ? 'Short' : 'Free'}</dt>
        <dd className={`num ${isShort ? 'red' : ''}`}>
          {drawer ? showGrams(isShort ? drawer.short : drawer.free) : '–'}
        </dd>
      </dl>
      {promised && (
        <ul className={`${styles.list} below-3`} aria-label="Promised to">
          {promised.runs.map((run) => (
            <li key={run.runId} className="small">
              <Link to={`/runs/${run.runId}`}>{run.name}</Link>{' '}
              <span className="quiet">
                {showDay(run.date)}, {showGrams(run.amount)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
