import { Button, Select } from 'antd';
import { useState } from 'react';
import { apiPath } from '../api/studio.ts';
import { useWrites, writesQuery, type WritesShown } from '../api/queries.ts';
import { StillLoading } from '../shell/Loading.tsx';
import { DayField } from '../ui/fields/DayField.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { showMoment } from '../words/keepingWords.ts';
import { ROLE_WORDS } from '../words/roleWords.ts';
import { counted } from '../words/show.ts';
import { groupWrites } from './groupWrites.ts';
import styles from './Network.module.css';

const A_PAGE = 100;
const EVERYTHING: WritesShown = { device: '', from: '', to: '', offset: 0, limit: A_PAGE };

/** Every write with the device and the role it came from, the last first. */
export function WritesSide() {
  const [asked, setAsked] = useState(EVERYTHING);
  const { data, error } = useWrites(asked);
  if (!data) return <StillLoading error={error} />;
  const narrow = (change: Partial<WritesShown>) => setAsked({ ...asked, ...change, offset: 0 });
  const last = Math.min(asked.offset + A_PAGE, data.total);
  return (
    <section className={`sheet ${styles.main}`} aria-label="Who did what">
      <div className={styles.fields}>
        <Field label="Device">
          {(control) => (
            <Select
              {...control}
              className="wide"
              value={asked.device}
              options={[
                { value: '', label: 'all of them' },
                ...data.devices.map((device) => ({ value: device, label: device })),
              ]}
              onChange={(device: string) => narrow({ device })}
            />
          )}
        </Field>
        <DayField
          label="From"
          day={asked.from === '' ? null : asked.from}
          onDay={(day) => narrow({ from: day ?? '' })}
        />
        <DayField
          label="To"
          day={asked.to === '' ? null : asked.to}
          onDay={(day) => narrow({ to: day ?? '' })}
        />
        <a href={apiPath(`/write-log/csv?${writesQuery(asked)}`)} download>
          CSV
        </a>
      </div>
      {data.total === 0 ? (
        <p className="quiet">Nothing was written so.</p>
      ) : (
        <ol className={styles.lines}>
          {groupWrites(data.items).map(({ line: { id, at, device, role, what, subject }, count, since }) => (
            <li key={id}>
              <span className="num">{showMoment(at)}</span>
              <span>
                <b>{device}</b>{' '}
                <span className="quiet small">
                  {role === null
                    ? 'by itself'
                    : role === 'nobody'
                      ? 'at the door'
                      : ROLE_WORDS[role].toLowerCase()}
                </span>
              </span>
              <span>
                {what}
                {subject !== '' && (
                  <>
                    : <b>{subject}</b>
                  </>
                )}
                {count > 1 && (
                  <span className="quiet small">
                    , {count} times since {showMoment(since)}
                  </span>
                )}
              </span>
            </li>
          ))}
        </ol>
      )}
      <p className={`quiet small ${styles.more}`}>
        {counted(data.total, 'write')}
        {data.total > A_PAGE && `, ${asked.offset + 1} to ${last} shown`}. Kept {data.keptDays} days; only
        ever added to. Names of persons are never in it.{' '}
        {asked.offset > 0 && (
          <Button
            size="small"
            onClick={() => setAsked({ ...asked, offset: Math.max(0, asked.offset - A_PAGE) })}
          >
            Newer
          </Button>
        )}{' '}
        {last < data.total && (
          <Button size="small" onClick={() => setAsked({ ...asked, offset: asked.offset + A_PAGE })}>
            Older
          </Button>
        )}
      </p>
    </section>
  );
}
