import { minutesToRingIn, timersNow } from '@lanakit/core/classDay';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useEffect } from 'react';
import { tell } from '../../scale/tell.ts';
import { entryName, timerWords } from '../../words/classWords.ts';
import styles from './NowCard.module.css';
import type { Teaching } from './teaching.ts';
import { useStudioClock } from './useClassDay.ts';

/** What is set with one tap; another length is set with several. */
const LENGTHS = [3, 5, 10, 30];
const MORE_MINUTES = 5;
/** A bell nobody hears at once is rung again. */
const AGAIN_S = 4;

/** What runs by itself: it rings on every device, until somebody puts it out. */
export function Timers({ teaching }: { teaching: Teaching }) {
  const { here, show } = teaching;
  const isAnySet = timersNow(here.events, 0).length > 0;
  const nowMs = useStudioClock(isAnySet ? 1000 : 60_000);
  const timers = timersNow(here.events, nowMs);
  const ringing = timers.filter(({ leftMs }) => leftMs <= 0);
  const ringFor = ringing[0] ? Math.floor(-ringing[0].leftMs / 1000) : -1;
  const bell = ringFor < 0 ? -1 : Math.floor(ringFor / AGAIN_S);
  useEffect(() => {
    if (bell >= 0) tell('ring', '', 'sound');
  }, [bell]);
  const name = show?.on[0] ? entryName(show.on[0].entry) : 'Timer';
  return (
    <section className={`sheet ${styles.timers}`} aria-label="Timers">
      {timers.map(({ id, name: what, leftMs }) => (
        <div key={id} className={`${styles.timer} ${leftMs <= 0 ? styles.rings : ''}`} role={leftMs <= 0 ? 'alert' : undefined}>
          <b>{timerWords(leftMs)}</b>
          <span>{what}</span>
          <Button size="large" onClick={() => here.act({ act: 'timer-more', timerId: id, minutes: minutesToRingIn({ leftMs }, MORE_MINUTES) })}>
            +{MORE_MINUTES}
          </Button>
          <Button size="large" type={leftMs <= 0 ? 'primary' : 'default'} onClick={() => here.act({ act: 'timer-off', timerId: id })}>
            {leftMs <= 0 ? 'Heard' : 'Put out'}
          </Button>
        </div>
      ))}
      <div className={styles.set} role="group" aria-label="Set a timer, minutes">
        {LENGTHS.map((minutes) => (
          <Button key={minutes} onClick={() => here.act({ act: 'timer', timerId: nanoid(12), name: name.slice(0, 80), minutes })}>
            {minutes} min
          </Button>
        ))}
      </div>
    </section>
  );
} // prettier-ignore
