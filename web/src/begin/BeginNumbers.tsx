import type { FirstPreview } from '@lanakit/core/starts';
import { showWeighed } from '@lanakit/core/words';
import { RUN_DEFAULTS, WANTED_CHANCE } from '@lanakit/core/run';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { counted, PREPARATION_WORDS, showGrams, showLikely } from '../words/show.ts';
import styles from './Begin.module.css';

/** What one takes, and what the class takes: the same numbers that stand on the run. */
export function BeginNumbers({ preview, people }: { preview: FirstPreview; people: number | null }) {
  const { estimate, plan, classGByFibre, wool, newIds } = preview;
  return (
    <aside className={styles.numbers} aria-label="What it takes">
      <p>
        <b className={styles.large}>{showLikely(estimate.total.likelyG)}</b>
        <span className="quiet"> one figure</span>
      </p>
      {plan && (
        <p className={`quiet small ${styles.heads}`}>
          <span>one</span>
          <span>all packs</span>
        </p>
      )}
      <ul>
        {estimate.fibres.map(({ fibreId, total }) => {
          const fibre = wool.fibres.get(fibreId);
          return fibre ? (
            <li key={fibreId}>
              <FibreSwatch fibre={fibre} width={44} height={22} />
              <span>
                {fibre.name} <span className="quiet small">{PREPARATION_WORDS[fibre.preparation]}</span>
                <span className="quiet small as-block">{thereWords(fibre.onHandG, newIds.has(fibreId))}</span>
              </span>
              <span className={styles.grams}>
                <span>{showLikely(total.likelyG)}</span>
                {plan && <b>{showWeighed(classGByFibre.get(fibreId) ?? 0, RUN_DEFAULTS.scaleStepG)}</b>}
              </span>
            </li>
          ) : null;
        })}
      </ul>
      {plan && people !== null && (
        <p className={styles.sum}>
          <b>{showWeighed(plan.classG, RUN_DEFAULTS.scaleStepG)}</b> for {counted(people, 'person', 'people')}
          , one spare pack, and a bag for all to come to: enough in {Math.round(WANTED_CHANCE * 100)} classes
          of 100
        </p>
      )}
      <p className="quiet small">
        Sizes, places, steps and the terms of the class are proposed; all of it is yours to change.
      </p>
    </aside>
  );
}

function thereWords(onHandG: number | null, isNew: boolean): string {
  if (isNew) return 'not there yet';
  return onHandG === null ? 'not counted' : `${showGrams(onHandG)} on hand`;
}
