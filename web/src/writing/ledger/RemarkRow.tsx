import { mendOf, withMeant } from '@lanakit/core/review';
import type { RemarkLine } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { memo, useState } from 'react';
import { become } from '../../draft/become.ts';
import { useTableStore } from '../table/tableContext.ts';
import styles from './Ledger.module.css';
import { goTo, type RemarkWays } from './remarkPlaces.ts';

interface RemarkRowProps {
  line: RemarkLine;
  ways: RemarkWays;
}

/** One remark of the review: to its place, mended by a press where a press can, or meant so. */
export const RemarkRow = memo(function RemarkRow({ line, ways }: RemarkRowProps) {
  const table = useTableStore();
  const [isSaying, setSaying] = useState(false);
  const { remark, place, words, isMendable } = line;
  const mend = () => {
    const { document, edit } = table.getState();
    const by = mendOf(remark, document, () => nanoid(10));
    if (by) edit(`mended: ${place}`, become(by));
  };
  const say = (reason: string) => {
    const { document, edit } = table.getState();
    edit(`meant so: ${place}`, (draft) => void (draft.meant = withMeant(document, remark, reason)));
  };
  return (
    <li>
      <button type="button" className="plain-button" onClick={() => goTo(remark, ways)}>
        <b>{place}</b> {words}
      </button>
      {isSaying ? (
        <MeantSo onSay={say} onLeave={() => setSaying(false)} />
      ) : (
        <span className={styles.remarkWays}>
          {isMendable && (
            <Button size="small" onClick={mend}>
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
});

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
