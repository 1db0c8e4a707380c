import { DEMO_STUDIO_PATH } from '@lanakit/core/api';
import { START_COLOURS } from '@lanakit/core/starts';
import { Link } from 'react-router';
import { BodyPicture } from '../begin/BodyPicture.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { TOUR_START } from '../shell/tour/tourStops.ts';
import { useTour } from '../shell/tour/tourStore.ts';
import styles from './BenchPage.module.css';

/** Shown of the bodies, as unlike one another as they are. */
const SHOWN_BODIES = ['sits', 'on-four', 'swims', 'hangs', 'fruit', 'nest'];

/** All ways there are from an empty studio. */
export function FirstSteps() {
  const begin = useTour((tour) => tour.begin);
  return (
    <section className={`sheet ${styles.first}`}>
      <h1>An empty bench</h1>
      <p className="quiet">From here it is a few minutes to packs that are weighed out by the gram.</p>
      <div className={styles.ways}>
        <Link to="/begin" className={`${styles.way} ${styles.firstWay}`}>
          <span className={styles.bodies}>
            {SHOWN_BODIES.map((id) => (
              <BodyPicture key={id} bodyId={id} width={104} height={92} />
            ))}
          </span>
          <b>The short way: a figure and its first class</b>
          <span>
            A body, a height, two colours, how many people: the pattern, its wool and every pack are there,
            and all of it is yours to change.
          </span>
        </Link>
        <Link to="/begin/shelf" className={styles.way}>
          <span className={styles.locks}>
            {START_COLOURS.filter((_, at) => at % 3 === 1).map((colour) => (
              <FibreSwatch
                key={colour.id}
                fibre={{ ...colour, preparation: 'carded' }}
                width={null}
                height={46}
              />
            ))}
          </span>
          <b>Your shelf</b>
          <span>Tick what you have, from cores to needles; how much of it, by the gram or by the bag.</span>
        </Link>
        <Link to="/patterns?begin" className={styles.way}>
          <b>A figure of your own</b>
          <span>Name it, and give its parts their sizes; the wool is worked out as you write.</span>
        </Link>
        <Link to="/bring-in" className={styles.way}>
          <b>A pattern you have</b>
          <span>Paste its steps, or bring in a file; pieces, amounts and needles are read out of it.</span>
        </Link>
        <Link to="/shelf/import" className={styles.way}>
          <b>A list you have</b>
          <span>Any table of wool, needles or findings, from a spreadsheet or pasted.</span>
        </Link>
        <Link to={TOUR_START} className={`${styles.way} ${styles.firstWay}`} onClick={begin}>
          <b>Be shown a first run</b>
          <span>
            Five stops, from a body to paper: each does its part with you on the real page, and what comes of
            it is yours. It can be left at any time.
          </span>
        </Link>
        <a href={`${DEMO_STUDIO_PATH}/`} className={styles.way}>
          <b>A studio to look at</b>
          <span>
            An invented one with five figures and runs ahead, beside yours: try anything there, it stays
            there.
          </span>
        </a>
      </div>
    </section>
  );
}
