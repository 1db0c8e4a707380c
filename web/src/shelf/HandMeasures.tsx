import { showNumber } from '@lanakit/core/base';
import { HAND_MEASURES, type HandMeasureInput, type HandMeasureName } from '@lanakit/core/shelf';
import { Button } from 'antd';
import { useState } from 'react';
import { useHandMeasures } from '../api/queries.ts';
import { showDay } from '../words/show.ts';
import { MeasureHelper } from './MeasureHelper.tsx';
import styles from './Panel.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { keepHandMeasure } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** What this maker's wisp, pinch and tuft weigh. */
export function HandMeasures() {
  const { data } = useHandMeasures();
  const [weighing, setWeighing] = useState<HandMeasureName | null>(null);
  const attempt = useAttempt();
  const keep = (measure: HandMeasureInput) =>
    attempt(async () => {
      await perform(keepHandMeasure(measure), () => setWeighing(null));
      return undefined;
    });
  return (
    <section className={styles.section} aria-label="Your hand">
      <h2>Your hand</h2>
      <p className="quiet small">
        Take twenty of them, weigh them together: your own measure, for patterns that say “a pinch”.
      </p>
      <ul className={styles.list}>
        {HAND_MEASURES.map((name) => {
          const handMeasure = data?.items.find((measure) => measure.name === name);
          return (
            <li key={name}>
              <div className={styles.lotLine}>
                <span>
                  {name}{' '}
                  <span className="quiet small">
                    {handMeasure
                      ? `${showNumber(handMeasure.lowG, 3)}–${showNumber(handMeasure.highG, 3)} g, ${showDay(handMeasure.weighedAt.slice(0, 10))}`
                      : 'not weighed'}
                  </span>
                </span>
                {handMeasure && <b className="num">{showNumber(handMeasure.massG, 3)} g</b>}
                <Button size="small" onClick={() => setWeighing(weighing === name ? null : name)}>
                  {handMeasure ? 'Weigh again' : 'Weigh it'}
                </Button>
              </div>
              {weighing === name && (
                <MeasureHelper
                  measuring="hand"
                  onRecord={handMeasure?.massG ?? null}
                  onUse={({ value, low, high }) => void keep({ name, massG: value, lowG: low, highG: high })}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
