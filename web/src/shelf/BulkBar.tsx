import { Button, Input, InputNumber } from 'antd';
import { useState } from 'react';
import type { Entry } from './entries.ts';
import styles from './ShelfPage.module.css';
import { useBulk } from './useBulk.ts';

interface BulkBarProps {
  entries: readonly Entry[];
  onClear: () => void;
}

/** What can be done to the chosen things together. */
export function BulkBar({ entries, onClear }: BulkBarProps) {
  const [place, setPlace] = useState('');
  const [percent, setPercent] = useState<number | null>(null);
  const bulk = useBulk(entries, onClear);
  const isArchived = entries.every((entry) => entry.isArchived);
  return (
    <div className={styles.bulk} role="region" aria-label="Several at once">
      <b>{entries.length} chosen</b>
      {bulk.canMove && (
        <form
          className={styles.bulkForm}
          onSubmit={(event) => {
            event.preventDefault();
            if (place.trim() !== '') bulk.move(place.trim());
          }}
        >
          <Input
            aria-label="Move to"
            value={place}
            maxLength={60}
            placeholder="drawer 3"
            className="control-m"
            onChange={(event) => setPlace(event.target.value)}
          />
          <Button htmlType="submit" disabled={place.trim() === ''}>
            Move there
          </Button>
        </form>
      )}
      {bulk.canReprice && (
        <form
          className={styles.bulkForm}
          onSubmit={(event) => {
            event.preventDefault();
            if (percent !== null) bulk.reprice(percent);
          }}
        >
          <InputNumber
            aria-label="Dearer by per cent"
            value={percent}
            min={-90}
            max={500}
            suffix="%"
            placeholder="+5"
            className="control-s"
            onChange={setPercent}
          />
          <Button htmlType="submit" disabled={percent === null}>
            Re-price
          </Button>
        </form>
      )}
      <Button onClick={() => bulk.archive(!isArchived)}>{isArchived ? 'Bring back' : 'Archive'}</Button>
      <Button onClick={onClear}>Choose none</Button>
    </div>
  );
}
