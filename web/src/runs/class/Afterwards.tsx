import { Button } from 'antd';
import { Link } from 'react-router';
import { sharpsNow } from '@lanakit/core/classDay';
import { trayTotals } from '@lanakit/core/needles';
import { useTray } from '../../api/queries.ts';
import { counted } from '../../words/show.ts';
import styles from './Class.module.css';
import { CloseClass } from './CloseClass.tsx';
import { LeftOvers } from './LeftOvers.tsx';
import { MinutesAsTheyWere } from './MinutesAsTheyWere.tsx';
import { Photos } from './Photos.tsx';
import type { Teaching } from './teaching.ts';

/** When they have gone: who finished, what came back, how long it took, what is still out; then it is closed. */
export function Afterwards({ teaching }: { teaching: Teaching }) {
  return (
    <>
      <StillOut teaching={teaching} />
      <Finished teaching={teaching} />
      <LeftOvers teaching={teaching} />
      <MinutesAsTheyWere teaching={teaching} />
      <Photos teaching={teaching} />
      <CloseClass teaching={teaching} />
    </>
  );
}

function StillOut({ teaching }: { teaching: Teaching }) {
  const { here, run } = teaching;
  const { stillOut, stillHot, openTips } = sharpsNow(here.day.plan, here.events);
  const tray = useTray(run.id);
  const needles = tray.data ? trayTotals(tray.data.lines) : null;
  const open = [
    ...(needles && needles.open > 0 ? [counted(needles.open, 'needle')] : []),
    ...(stillOut > 0 ? [`${counted(stillOut, 'sharp')} beside them`] : []),
    ...(stillHot > 0 ? [`${stillHot} still hot`] : []),
    ...(openTips > 0 ? [`${counted(openTips, 'tip')} of broken needles`] : []),
  ];
  return (
    <section
      className={`sheet ${styles.side} ${open.length > 0 ? styles.danger : ''}`}
      aria-label="Still out"
    >
      <h2>Still out</h2>
      <p>
        {open.length > 0 ? <b className="red">{open.join(', ')}</b> : 'Nothing that was counted out.'}
        {needles === null && ' How many needles are out could not be read.'}
        {needles !== null && needles.broken > 0 && ` ${counted(needles.broken, 'needle')} broke.`}{' '}
        <Link to={`/runs/${run.id}/tray`}>Count needles in</Link>
      </p>
    </section>
  );
}

function Finished({ teaching }: { teaching: Teaching }) {
  const { room, names, here } = teaching;
  const done = room.seats.filter(({ isFinished }) => isFinished).length;
  return (
    <section className={`sheet ${styles.side}`} aria-label="Who finished">
      <h2>
        Who finished: {done} of {room.seats.length}
      </h2>
      <div className={styles.where}>
        {room.seats.map(({ key, isFinished }) => (
          <Button
            key={key}
            size="large"
            type={isFinished ? 'primary' : 'default'}
            aria-pressed={isFinished}
            onClick={() => here.act({ act: 'finished', seatKey: key, isFinished: !isFinished })}
          >
            {names.seat(key)}
          </Button>
        ))}
      </div>
    </section>
  );
}
