import { differenceOf, isSamePlan } from '@lanakit/core/run';
import { useMemo, useState } from 'react';
import { counted, showChange } from '../words/show.ts';
import styles from './OtherThanPlanned.module.css';
import type { ShownRun } from './useRunPlan.ts';

/** What has changed in the run since the page was opened: grams by fibre, and how many packs are other. */
export function SinceOpened({ live }: { live: ShownRun }) {
  const [opened] = useState(live);
  const { fibres, packs } = useMemo(() => differenceOf(opened, live), [opened, live]);
  if (isSamePlan({ fibres, packs })) return null;
  const { scaleStepG } = live.input;
  const nameOf = (id: string) => (live.shelf.get(id) ?? opened.shelf.get(id))?.name ?? 'a fibre';
  const many = (kind: 'new' | 'gone' | 'other') => packs.filter((pack) => pack.kind === kind).length;
  const words = [
    ...(many('new') > 0 ? [`${counted(many('new'), 'pack')} more`] : []),
    ...(many('gone') > 0 ? [`${counted(many('gone'), 'pack')} fewer`] : []),
    ...(many('other') > 0 ? [`${counted(many('other'), 'pack')} other`] : []),
  ];
  return (
    <p className={styles.since} role="status">
      Since you opened it: {words.join(', ')}
      {fibres.map(({ fibreId, wasG, nowG }) => (
        <span key={fibreId}>
          {' · '}
          {nameOf(fibreId)} <b>{showChange(nowG - wasG, scaleStepG)}</b>
        </span>
      ))}
    </p>
  );
}
