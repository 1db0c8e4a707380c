import { pressOn, typeInto } from './tourHands.ts';

/** What the tour has met on its way, and goes back to. */
export interface TourThings {
  readonly runId: string | null;
  readonly patternId: string | null;
}

interface TourDeed {
  readonly name: string;
  /** Does it with the page's own fields and buttons, so that it is the maker's as if done by hand. False: it is not on the page. */
  readonly run: () => boolean;
}

export interface TourStop {
  readonly title: string;
  readonly words: string;
  readonly isAt: (pathname: string) => boolean;
  /** Null while there is nothing yet to go to. */
  readonly pathOf: (things: TourThings) => string | null;
  readonly deed: TourDeed | null;
}

/** Where it begins. */
export const TOUR_START = '/begin?title=First%20figure';

const runPath =
  (end: string) =>
  ({ runId }: TourThings) =>
    runId === null ? null : `/runs/${runId}${end}`;

/** A first run from nothing to paper, in the order in which it is really done. */
export const TOUR_STOPS: readonly TourStop[] = [
  {
    title: 'A figure and its class',
    words:
      'Choose a body, a height, two colours and who comes. What one takes, and what all packs take, stands at the right before anything is made.',
    isAt: (pathname) => pathname === '/begin',
    pathOf: () => TOUR_START,
    deed: { name: 'Make these packs', run: () => pressOn('form[aria-label="Begin"] button[type="submit"]') },
  },
  {
    title: 'Every pack, to the gram',
    words:
      'One column for each sort of pack, one line for each use of a fibre. Numbers with a dotted line open to where they come from. What is short stands at the right.',
    isAt: (pathname) => /^\/runs\/[^/]+$/.test(pathname),
    pathOf: runPath(''),
    deed: {
      name: 'One more comes',
      run: () => typeInto('Seats', (text) => String(Number(text) + 1)),
    },
  },
  {
    title: 'The figure behind it',
    words:
      'Pull a handle or type a size: the grams at the right follow. Its parts, joins, wool and steps are proposed, and yours to change; a run keeps the revision it was planned with.',
    isAt: (pathname) => /^\/patterns\/[^/]+$/.test(pathname),
    pathOf: ({ patternId }) => (patternId === null ? null : `/patterns/${patternId}`),
    deed: { name: 'Show its steps', run: () => pressOn('.ant-segmented-item', /^\d+ steps?$/) },
  },
  {
    title: 'Weighing out',
    words:
      'One fibre at a time, pale before dark, as large as arm’s length wants it. A press is a tick; what is ticked is kept on this device until it is saved.',
    isAt: (pathname) => /^\/runs\/[^/]+\/weigh-out$/.test(pathname),
    pathOf: runPath('/weigh-out'),
    deed: {
      name: 'Tick the first',
      run: () => pressOn('main section button[aria-pressed="false"]'),
    },
  },
  {
    title: 'Paper',
    words:
      'Lists, labels and the pattern itself, as they are printed. Print at 100 %: the bar on the guide measures 100 mm. Everything stands under Papers on the run.',
    isAt: (pathname) => /^\/runs\/[^/]+\/papers\//.test(pathname),
    pathOf: runPath('/papers/packs'),
    deed: null,
  },
];

/** Which stop a place is; null: none of them. */
export function stopAt(pathname: string): number | null {
  const index = TOUR_STOPS.findIndex(({ isAt }) => isAt(pathname));
  return index < 0 ? null : index;
}
