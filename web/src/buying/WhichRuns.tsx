import type { Buying, BuyingRun } from '@lanakit/core/api';
import { type BuyingDays, buyingDays, sellersOf } from '@lanakit/core/buying';
import type { Supplier } from '@lanakit/core/shelf';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { apiPath } from '../api/studio.ts';
import { counted, showDay, showMinutes } from '../words/show.ts';
import styles from './BuyingPage.module.css';
import { TermsDialog } from './TermsDialog.tsx';
import type { Asked } from './useAskedPurchase.ts';

interface WhichRunsProps {
  buying: Buying;
  suppliers: readonly Supplier[];
  asked: Asked;
}

/** The runs that are bought for, with the day each wants its goods by. */
export function WhichRuns({ buying, suppliers, asked }: WhichRunsProps) {
  const [isSettingTerms, setSettingTerms] = useState(false);
  const { runIds, setRunIds } = asked;
  const days = useDays(buying, suppliers);
  const all = buying.runs.map(({ id }) => id);
  const isAll = runIds.size === all.length;
  return (
    <section className={`sheet ${styles.runs}`} aria-label="For which runs">
      <h2>For which runs</h2>
      {buying.runs.length === 0 && (
        <p className="quiet">No run ahead draws on the shelf. Plan one, and what it wants stands here.</p>
      )}
      {buying.runs.length > 1 && (
        <Checkbox
          checked={isAll}
          indeterminate={!isAll && runIds.size > 0}
          onChange={() => setRunIds(new Set(isAll ? [] : all))}
        >
          All of them
        </Checkbox>
      )}
      <ul className={styles.runList}>
        {buying.runs.map((run) => (
          <li key={run.id}>
            <RunToTick run={run} today={buying.today} days={days.get(run.id)} asked={asked} />
          </li>
        ))}
      </ul>
      <p className="quiet small">
        Ready by: the day the work begins, at {buying.terms.hoursADay} h a day
        {buying.terms.marginDays > 0 && `, ${counted(buying.terms.marginDays, 'day')} to spare`}.
      </p>
      <div className={styles.runEnds}>
        <Button size="small" onClick={() => setSettingTerms(true)}>
          My days and hours…
        </Button>
        <Button size="small" href={apiPath('/buying/calendar')} download="lanakit-buying.ics">
          As a calendar
        </Button>
      </div>
      {isSettingTerms && <TermsDialog terms={buying.terms} onClose={() => setSettingTerms(false)} />}
    </section>
  );
}

interface RunToTickProps {
  run: BuyingRun;
  today: string;
  days: BuyingDays | undefined;
  asked: Asked;
}

function RunToTick({ run, today, days, asked }: RunToTickProps) {
  const { runIds, setRunIds, thingOf } = asked;
  const toggle = () => {
    const next = new Set(runIds);
    if (!next.delete(run.id)) next.add(run.id);
    setRunIds(next);
  };
  const day = days?.day ?? null;
  const isPast = day !== null && day < today;
  return (
    <Checkbox checked={runIds.has(run.id)} onChange={toggle} className={styles.run ?? ''}>
      <b>{run.name}</b>
      <span className="quiet small">
        {showDay(run.date)} · ready by {showDay(run.prepareBy)}, {showMinutes(run.minutes.total)} of work
      </span>
      {days?.isShort && (
        <span className={`small ${isPast ? 'red' : ''}`}>
          {day === null
            ? 'short, and nobody says how long it takes'
            : `${isPast ? 'should have been ordered by' : 'order by'} ${showDay(day)}: ${
                thingOf(days.itemId ?? '')?.name ?? ''
              }`}
        </span>
      )}
    </Checkbox>
  );
}

/** The last day to order what each run is short of. */
function useDays(buying: Buying, suppliers: readonly Supplier[]): ReadonlyMap<string, BuyingDays> {
  return useMemo(() => {
    const blends = new Set(buying.things.flatMap(({ id, kind }) => (kind === 'blend' ? [id] : [])));
    const days = buyingDays(buying.wants, buying.runs, buying.coming, sellersOf(suppliers), blends);
    return new Map(days.map((ofRun) => [ofRun.runId, ofRun]));
  }, [buying, suppliers]);
}
