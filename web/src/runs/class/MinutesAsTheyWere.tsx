import { entriesTook, showNow } from '@lanakit/core/classDay';
import styles from './Class.module.css';
import { MinutesTable } from './MinutesTable.tsx';
import type { Teaching } from './teaching.ts';

/** How long each took in the class, of all its sittings. */
export function MinutesAsTheyWere({ teaching: { here, now, clock } }: { teaching: Teaching }) {
  const { plan } = here.day;
  const shows = plan.sittings.map((sitting) => showNow(plan, sitting, here.events, { now, clock }));
  return (
    <section className={`sheet ${styles.side}`} aria-label="Minutes as they were">
      <h2>Minutes as they were</h2>
      <MinutesTable entries={entriesTook(shows)} />
    </section>
  );
}
