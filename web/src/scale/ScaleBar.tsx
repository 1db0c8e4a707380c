import type { Balance, WantedMass } from '@lanakit/core/scale';
import styles from './Scale.module.css';

/** Of the bar what is wanted takes: so much more can be seen. */
const WANTED_AT = 0.8;

interface ScaleBarProps {
  wanted: WantedMass;
  /** What lies there, grams; null: nothing that can be read. */
  massG: number | null;
  /** `kept`: what lies there was kept, and is to go off. */
  kind: Balance['kind'] | 'kept';
}

/** What lies there and what is wanted as one bar, its tolerance a gap in the rule: ink that turns when it is right. */
export function ScaleBar({ wanted: { massG: wantedG, toleranceG }, massG, kind }: ScaleBarProps) {
  const percentOf = (grams: number) => Math.max(0, Math.min(100, (grams / wantedG) * WANTED_AT * 100));
  const [from, to] = [percentOf(wantedG - toleranceG), percentOf(wantedG + toleranceG)];
  return (
    <div className={styles.bar} data-balance={kind} aria-hidden>
      <span className={styles.ink} style={{ width: `${percentOf(massG ?? 0)}%` }} />
      <span className={styles.rule} style={{ width: `${from}%` }} />
      <span className={styles.gap} style={{ left: `${from}%`, width: `${Math.max(0.6, to - from)}%` }} />
      <span className={styles.rule} style={{ left: `${to}%`, right: 0 }} />
    </div>
  );
}
