import { TURN_STEP_DEG } from '@lanakit/core/figure';

/** So many pixels of a hand’s way turn a figure by a degree: once across a tray is about half round. */
const DEG_PER_PX = 0.5;

/** From 0 to under 360. */
export const within = (turnDeg: number): number => ((turnDeg % 360) + 360) % 360;

/** As far as a hand has turned it: what is in front goes with the hand. */
export const turnedBy = (fromDeg: number, rightPx: number): number => within(fromDeg - rightPx * DEG_PER_PX);

/** The step it comes to rest at. */
export const restingDeg = (turnDeg: number): number =>
  within(Math.round(turnDeg / TURN_STEP_DEG) * TURN_STEP_DEG);

/** The shorter way round from one to the other, degrees; clockwise seen from above under nought. */
export const shortWay = (fromDeg: number, toDeg: number): number => {
  const way = within(toDeg - fromDeg);
  return way > 180 ? way - 360 : way;
};

/** How long a turn takes that nobody holds, ms: a step in a blink, half round in no more than this. */
const TURN_MS = { least: 120, most: 360 };

export const turnMs = (wayDeg: number): number =>
  Math.min(TURN_MS.most, TURN_MS.least + Math.abs(wayDeg) * 2);

/** Begun and ended slowly; 0 to 1. */
export const eased = (share: number): number => share * share * (3 - 2 * share);
