import { type ClassEvent, clashesOf } from '@lanakit/core/classDay';
import { useMemo } from 'react';
import { deviceKey } from '../../api/deviceKey.ts';
import { clockAt, actWords } from '../../words/classWords.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** Two devices said different things of the same without knowing it: who, when, and what was kept. */
export function Clashes({ teaching: { here, names, clock } }: { teaching: Teaching }) {
  const clashes = useMemo(() => clashesOf(here.events), [here.events]);
  if (clashes.length === 0) return null;
  const who = ({ from, device }: ClassEvent) =>
    from === deviceKey() ? 'this device' : (device ?? 'another device');
  return (
    <ul className={`sheet ${styles.clashes}`} aria-label="Said differently by two devices">
      {clashes.map(({ kept, lost }) => (
        <li key={kept.key}>
          <b>{actWords(kept, names)}</b> is kept ({who(kept)}, {clockAt(clock(kept.at))}); “
          {actWords(lost, names)}” ({who(lost)}, {clockAt(clock(lost.at))}) came apart from it. Tap it anew if
          that is wrong.
        </li>
      ))}
    </ul>
  );
}
