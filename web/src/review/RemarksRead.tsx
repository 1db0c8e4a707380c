import type { Pattern } from '@lanakit/core/pattern';
import type { Remark } from '@lanakit/core/review';
import { remarkPlace, remarkWords } from '@lanakit/core/words';
import styles from './RemarksRead.module.css';

interface RemarksReadProps {
  pattern: Pattern;
  remarks: readonly Remark[];
}

/** What is to be looked at in a pattern, where it is only read: each with its place and the way to mend it. */
export function RemarksRead({ pattern, remarks }: RemarksReadProps) {
  return (
    <ul className={styles.list}>
      {remarks.map((remark) => (
        <li key={JSON.stringify(remark)}>
          <b>{remarkPlace(remark, pattern)}</b> {remarkWords(remark, pattern)}
        </li>
      ))}
    </ul>
  );
}
