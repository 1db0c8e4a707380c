import type { ScaleAct } from '@lanakit/core/scale';
import { Button } from 'antd';
import { useState } from 'react';
import { perform } from '../api/mutations/mutation.ts';
import { actOnScale, putScaleAway } from '../api/mutations/scales.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';
import styles from './Scale.module.css';
import { chooseScale } from './scaleChoice.ts';

interface PlayScaleProps {
  scaleId: string;
  isPlugged: boolean;
  isBatteryLow: boolean;
  /** What is wanted, to be put on roughly; grams. */
  aboutG: number;
}

const AMOUNT_BOUNDS = { min: 0.01, max: 2000 } as const;

/** Hands on a scale that is not there: to try, to learn, to show. */
export function PlayScale({ scaleId, isPlugged, isBatteryLow, aboutG }: PlayScaleProps) {
  const attempt = useAttempt();
  const [massG, setMassG] = useState<number | null>(null);
  const act = (what: ScaleAct) =>
    void attempt(async () => {
      await perform(actOnScale(scaleId, what));
      return undefined;
    });
  const put = (grams: number) => act({ act: 'put', massG: grams });
  return (
    <section className={styles.play} aria-label="Play the simulated scale">
      <span className="quiet small">Simulated: put on</span>
      <Button size="small" onClick={() => put(Math.round(aboutG * 9) / 10)}>
        most of it
      </Button>
      {[10, 1, 0.1].map((grams) => (
        <Button key={grams} size="small" onClick={() => put(grams)}>
          {grams} g
        </Button>
      ))}
      <form
        className={styles.put}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (massG !== null) put(massG);
        }}
      >
        <NumberField
          label="Grams to put on"
          isLabelHidden
          value={massG}
          bounds={AMOUNT_BOUNDS}
          allowEmpty
          suffix="g"
          onValue={setMassG}
        />
        <Button size="small" htmlType="submit" disabled={massG === null}>
          Put on
        </Button>
      </form>
      <Button size="small" onClick={() => act({ act: 'take', massG: 0.1 })}>
        0.1 g off
      </Button>
      <Button size="small" onClick={() => act({ act: 'clear' })}>
        Take all off
      </Button>
      <Button size="small" onClick={() => act({ act: 'nudge' })}>
        Nudge
      </Button>
      <Button size="small" onClick={() => act({ act: isPlugged ? 'unplug' : 'plug' })}>
        {isPlugged ? 'Unplug' : 'Plug in'}
      </Button>
      <Button size="small" onClick={() => act({ act: 'battery', isLow: !isBatteryLow })}>
        {isBatteryLow ? 'New battery' : 'Low battery'}
      </Button>
      <Button
        size="small"
        onClick={() =>
          void attempt(async () => {
            await perform(putScaleAway(scaleId));
            chooseScale({ scaleId: null });
            return { text: 'The simulated scale is put away; there is always one to be had.' };
          })
        }
      >
        Put it away
      </Button>
    </section>
  );
}
