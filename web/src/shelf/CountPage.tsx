import { hasWords } from '@lanakit/core/base';
import { toCount, type ToCount } from '@lanakit/core/shelf';
import { Input } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { useBlends, useFibres, useFindings, useNeedles, useTools } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { PREPARATION_WORDS } from '../words/show.ts';
import { showAmount } from '../words/shelfWords.ts';
import { CountedNowField } from './CountedNowField.tsx';
import styles from './CountPage.module.css';

const KIND_TITLES: Readonly<Record<ToCount['kind'], string>> = {
  fibre: 'Wool',
  blend: 'Blends',
  finding: 'Findings',
  needle: 'Needles',
  tool: 'Tools',
};

/** What lies in each drawer: looked for by name or place, counted or weighed, entered. */
export function CountPage() {
  const [fibres, blends, findings] = [useFibres(), useBlends(), useFindings()];
  const [needles, tools] = [useNeedles(), useTools()];
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search);
  const drawers = useMemo(
    () =>
      fibres.data && blends.data && findings.data && needles.data && tools.data
        ? toCount({
            fibres: fibres.data.items,
            blends: blends.data.items,
            findings: findings.data.items,
            needles: needles.data.items,
            tools: tools.data.items,
          })
        : null,
    [fibres.data, blends.data, findings.data, needles.data, tools.data],
  );
  if (!drawers) return <Loading error={fibres.error ?? findings.error ?? needles.error ?? tools.error} />;
  const shown = drawers.filter(({ name, lotName, place }) => hasWords(`${name} ${lotName} ${place}`, asked));
  const kinds = (Object.keys(KIND_TITLES) as ToCount['kind'][]).filter((kind) =>
    shown.some((drawer) => drawer.kind === kind),
  );
  return (
    <main className={`sheet ${styles.page}`}>
      <header className={styles.head}>
        <div>
          <h1>Count</h1>
          <p className="quiet">What lies there now; the ledger gets the difference.</p>
        </div>
        <Input
          className={styles.find ?? ''}
          size="large"
          allowClear
          aria-label="Find a drawer"
          placeholder="A name, a lot, a place"
          value={search}
          maxLength={80}
          onChange={(event) => setSearch(event.target.value)}
        />
      </header>
      {kinds.map((kind) => (
        <section key={kind} aria-label={KIND_TITLES[kind]}>
          <h2>{KIND_TITLES[kind]}</h2>
          <ul className={styles.drawers}>
            {shown
              .filter((drawer) => drawer.kind === kind)
              .map((drawer) => (
                <Drawer key={`${drawer.itemId} ${drawer.lotId ?? ''}`} drawer={drawer} />
              ))}
          </ul>
        </section>
      ))}
      {shown.length === 0 && (
        <p className="quiet">
          {search === '' ? 'Nothing lies on the shelf yet.' : 'No drawer is called so, and none lies there.'}
        </p>
      )}
    </main>
  );
}

function Drawer({ drawer }: { drawer: ToCount }) {
  const { itemId, lotId, name, preparation, lotName, place, unit, onHand } = drawer;
  return (
    <li>
      <span>
        <b>{name}</b>
        <span className="quiet small">
          {[preparation ? PREPARATION_WORDS[preparation] : '', lotName === '' ? '' : `lot ${lotName}`, place]
            .filter((word) => word !== '')
            .join(' · ')}
        </span>
      </span>
      <span className={`num ${onHand === null ? 'red' : ''}`}>
        {onHand === null ? 'not counted' : showAmount(onHand, unit)}
      </span>
      <CountedNowField
        itemId={itemId}
        lotId={lotId}
        unit={unit}
        onHand={onHand}
        label={`Count of ${[name, lotName].filter((word) => word !== '').join(', ')}`}
        isLabelHidden
      />
    </li>
  );
}
