import { type TermId, termOf } from '@lanakit/core/words';
import { Popover } from 'antd';
import type { ReactNode } from 'react';
import styles from './Term.module.css';

/** A word that opens to what is meant by it, where it stands. */
export function Term({ id, children }: { id: TermId; children: ReactNode }) {
  const { name, words } = termOf(id);
  return (
    <Popover trigger="click" title={name} content={<p className={styles.words}>{words}</p>}>
      <button type="button" className={styles.term}>
        {children}
      </button>
    </Popover>
  );
}

/** The same for what labels a field: a hand that rests on it is told; whoever types asks with F1. */
export function LabelTerm({ id, children }: { id: TermId; children: ReactNode }) {
  const { name, words } = termOf(id);
  return (
    <Popover
      trigger="hover"
      mouseEnterDelay={0.4}
      title={name}
      content={<p className={styles.words}>{words}</p>}
    >
      <span className={styles.label}>{children}</span>
    </Popover>
  );
}
