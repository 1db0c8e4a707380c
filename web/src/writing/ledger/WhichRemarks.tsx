import { RULE_KINDS } from '@lanakit/core/review';
import {
  ALL_REMARKS,
  type RemarkLine,
  type RemarksWanted,
  remarksWanted,
  RULE_KIND_WORDS,
} from '@lanakit/core/words';
import { Select } from 'antd';
import { ownerName } from '../../words/ownerWords.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Ledger.module.css';

interface WhichRemarksProps {
  lines: readonly RemarkLine[];
  wanted: RemarksWanted;
  onWant: (wanted: RemarksWanted) => void;
}

interface Among {
  readonly value: string;
  readonly label: string;
}

/** Which of many are looked at: of one kind, on one part, in one session. */
export function WhichRemarks({ lines, wanted, onWant }: WhichRemarksProps) {
  const document = useTable((table) => table.document);
  const withCount = (key: keyof RemarksWanted, id: string, name: string): Among[] => {
    const count = remarksWanted(lines, { ...ALL_REMARKS, [key]: id }).length;
    // What is chosen stays to be seen and left, also when the last of it is mended.
    return count === 0 && wanted[key] !== id ? [] : [{ value: id, label: `${name} (${count})` }];
  };
  const kinds = RULE_KINDS.flatMap((kind) => withCount('kind', kind, RULE_KIND_WORDS[kind]));
  // What was chosen and is no longer in the pattern stays to be left by its choice, and never as an id.
  const gone = (key: 'partId' | 'sessionId', things: readonly { readonly id: string }[]): Among[] => {
    const id = wanted[key];
    return id === null || things.some((thing) => thing.id === id)
      ? []
      : [{ value: id, label: 'no longer there (0)' }];
  };
  const parts = document.parts.flatMap(({ id }) =>
    withCount('partId', id, ownerName({ kind: 'part', id }, document)),
  );
  const sessions = document.sessions.flatMap(({ id, name }, at) =>
    withCount('sessionId', id, name || `Session ${at + 1}`),
  );
  parts.push(...gone('partId', document.parts));
  sessions.push(...gone('sessionId', document.sessions));
  const select = (label: string, key: keyof RemarksWanted, options: readonly Among[]) =>
    (options.length > 1 || wanted[key] !== null) && (
      <Select<string | null>
        size="small"
        className={styles.which ?? ''}
        aria-label={label}
        value={wanted[key]}
        popupMatchSelectWidth={false}
        options={[{ value: null, label }, ...options]}
        onChange={(value) => onWant({ ...wanted, [key]: value })}
      />
    );
  return (
    <div className={styles.whichRow}>
      {select('all kinds', 'kind', kinds)}
      {select('all parts', 'partId', parts)}
      {select('all sessions', 'sessionId', sessions)}
    </div>
  );
}
