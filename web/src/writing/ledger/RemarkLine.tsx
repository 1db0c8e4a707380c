import { type Mend, mendOf, type Remark, withMeant } from '@lanakit/core/review';
import { remarkPlace, remarkWords } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { become } from '../../draft/become.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Ledger.module.css';

interface RemarkLineProps {
  remark: Remark;
  onGo: () => void;
}

/** One remark of the review: to its place, mended by a press where a press can, or meant so. */
export function RemarkLine({ remark, onGo }: RemarkLineProps) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [isSaying, setSaying] = useState(false);
  const mend = useMemo(() => mendOf(remark, document, () => nanoid(10)), [remark, document]);
  const place = remarkPlace(remark, document);
  const press = (by: Mend) => edit(`mended: ${place}`, become(by));
  return (
    <li>
      <button type="button" className="plain-button" onClick={onGo}>
        <b>{place}</b> {remarkWords(remark, document)}
      </button>
      {isSaying ? (
        <MeantSo
          onSay={(reason) => {
            edit(`meant so: ${place}`, (draft) => void (draft.meant = withMeant(document, remark, reason)));
          }}
          onLeave={() => setSaying(false)}
        />
      ) : (
        <span className={styles.remarkWays}>
          {mend && (
            <Button size="small" onClick={() => press(mend)}>
              Mend it
            </Button>
          )}
          <Button size="small" type="text" onClick={() => setSaying(true)}>
            Meant so…
          </Button>
        </span>
      )}
    </li>
  );
}

/** Why it is so: kept with the pattern, and not asked again until the thing changes. */
function MeantSo({ onSay, onLeave }: { onSay: (reason: string) => void; onLeave: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      className={styles.meant}
      onSubmit={(event) => {
        event.preventDefault();
        onSay(reason.trim());
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onLeave();
      }}
    >
      <Input
        size="small"
        autoFocus
        aria-label="Why it is meant so"
        placeholder="why, in a few words"
        maxLength={300}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <Button size="small" htmlType="submit">
        Keep
      </Button>
    </form>
  );
}
