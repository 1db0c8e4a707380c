import { DEMO_STUDIO_PATH } from '@lanakit/core/api';
import { START_BODIES, START_COLOURS } from '@lanakit/core/starts';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { TOUR_START } from '../shell/tour/tourStops.ts';
import { useTour } from '../shell/tour/tourStore.ts';
import { BodyPicture } from './BodyPicture.tsx';
import styles from './Ways.module.css';

/** How one begins where there is nothing yet. */
export type WayToBegin = 'short' | 'bodies' | 'shelf' | 'name-it' | 'paste' | 'list' | 'tour' | 'demo';

interface Way {
  readonly to: string;
  readonly name: string;
  readonly text: string;
  readonly isWide?: boolean;
  readonly picture?: () => ReactNode;
}

/** Shown of the bodies, as unlike one another as they are. */
const SHOWN_BODIES = ['sits', 'on-four', 'swims', 'hangs', 'fruit', 'nest'];

const Bodies = () => (
  <span className={styles.bodies}>
    {SHOWN_BODIES.map((id) => (
      <BodyPicture key={id} bodyId={id} width={104} height={92} />
    ))}
  </span>
);

const Locks = () => (
  <span className={styles.locks}>
    {START_COLOURS.filter((_, at) => at % 3 === 1).map((colour) => (
      <FibreSwatch key={colour.id} fibre={{ ...colour, preparation: 'carded' }} width={null} height={46} />
    ))}
  </span>
);

const WAYS: Readonly<Record<Exclude<WayToBegin, 'bodies'>, Way>> = {
  short: {
    to: '/begin',
    name: 'The short way: a figure and its first class',
    text: 'A body, a height, two colours, how many people: the pattern, its wool and every pack are there, and all of it is yours to change.',
    isWide: true,
    picture: Bodies,
  },
  shelf: {
    to: '/begin/shelf',
    name: 'Your shelf',
    text: 'Tick what you have, from cores to needles; how much of it, by the gram or by the bag.',
    picture: Locks,
  },
  'name-it': {
    to: '/patterns?begin',
    name: 'A figure of your own',
    text: 'Name it, and give its parts their sizes; the wool is worked out as you write.',
  },
  paste: {
    to: '/bring-in',
    name: 'A pattern you have',
    text: 'Paste its steps, or bring in a file; pieces, amounts and needles are read out of it.',
  },
  list: {
    to: '/shelf/import',
    name: 'A list you have',
    text: 'Any table of wool, needles or findings, from a spreadsheet or pasted.',
  },
  tour: {
    to: TOUR_START,
    name: 'Be shown a first run',
    text: 'Five stops, from a body to paper: each does its part with you on the real page, and what comes of it is yours. It can be left at any time.',
    isWide: true,
  },
  demo: {
    to: `${DEMO_STUDIO_PATH}/`,
    name: 'A studio to look at',
    text: 'An invented one with five figures and runs ahead, beside yours: try anything there, it stays there.',
  },
};

/** What could be done where there is nothing yet, each way with what comes of it. */
export function Ways({ ways }: { ways: readonly WayToBegin[] }) {
  return (
    <div className={styles.ways}>
      {ways.flatMap((way) =>
        way === 'bodies'
          ? START_BODIES.map(({ id, name }) => <BodyWay key={id} id={id} name={name} />)
          : [<OneWay key={way} way={way} />],
      )}
    </div>
  );
}

const BodyWay = ({ id, name }: { id: string; name: string }) => (
  <Link to={`/begin?body=${id}`} className={`${styles.way} ${styles.body}`}>
    <BodyPicture bodyId={id} width={104} height={84} />
    <b>{name}</b>
  </Link>
);

function OneWay({ way }: { way: Exclude<WayToBegin, 'bodies'> }) {
  const begin = useTour((tour) => tour.begin);
  const { to, name, text, isWide, picture: Picture } = WAYS[way];
  const className = `${styles.way} ${isWide ? styles.wide : ''}`;
  const inside = (
    <>
      {Picture && <Picture />}
      <b>{name}</b>
      <span>{text}</span>
    </>
  );
  // The demo is a studio of its own: its page is opened anew.
  if (way === 'demo')
    return (
      <a href={to} className={className}>
        {inside}
      </a>
    );
  return (
    <Link to={to} className={className} {...(way === 'tour' && { onClick: begin })}>
      {inside}
    </Link>
  );
}
