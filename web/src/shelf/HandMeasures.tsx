import { showNumber } from '@lanakit/core/base';
import { HAND_MEASURES, type HandMeasureName } from '@lanakit/core/shelf';
import { Button } from 'antd';
import { useState } from 'react';
import { errorWords, send } from '../api/client.ts';
import { refresh, useHandMeasures } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';
import { showDay } from '../words/show.ts';
import { MeasureHelper } from './MeasureHelper.tsx';
import styles from './Panel.module.css';

/** What this maker's wisp, pinch and tuft weigh. */
export function HandMeasures() {
  const { data } = useHandMeasures();
  const [weighing, setWeighing] = useState<HandMeasureName | null>(null);
  const say = useNotice();
  const keep = async (name: HandMeasureName, massG: number, lowG: number, highG: number) => {
    try {
      await send('PUT', '/hand-measures', { body: { name, massG, lowG, highG } });
      await refresh('/hand-measures');
      setWeighing(null);
    } catch (error) {
      say({ text: errorWords(error), isProblem: true });
    }
  };
  return (
    <section className={styles.section} aria-label="Your hand">
      <h3>Your hand</h3>
      <p className="quiet small">
        Take twenty of them, weigh them together: your own measure, for patterns that say “a pinch”.
      </p>
      <ul className={styles.list}>
        {HAND_MEASURES.map((name) => {
          const own = data?.items.find((one) => one.name === name);
          return (
            <li key={name}>
              <div className={styles.lotLine}>
                <span>
                  {name}{' '}
                  <span className="quiet small">
                    {own
                      ? `${showNumber(own.lowG, 3)}–${showNumber(own.highG, 3)} g, ${showDay(own.weighedAt.slice(0, 10))}`
                      : 'not weighed'}
                  </span>
                </span>
                {own && <b className="num">{showNumber(own.massG, 3)} g</b>}
                <Button size="small" onClick={() => setWeighing(weighing === name ? null : name)}>
                  {own ? 'Weigh again' : 'Weigh it'}
                </Button>
              </div>
              {weighing === name && (
                <MeasureHelper
                  measuring="hand"
                  onRecord={own?.massG ?? null}
                  onUse={({ value, low, high }) => void keep(name, value, low, high)}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
