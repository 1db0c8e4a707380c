import { showNumber } from '@lanakit/core/base';
import type { Balance, InHands, OddReading, ScaleState } from '@lanakit/core/scale';
import { showWeighed } from './show.ts';

const SINGULAR = { wisp: 'a wisp', pinch: 'a pinch', tuft: 'a tuft' } as const;
const PLURAL = { wisp: 'wisps', pinch: 'pinches', tuft: 'tufts' } as const;

const handsOf = ({ measure, count }: InHands): string =>
  count === 1 ? SINGULAR[measure] : `${count} ${PLURAL[measure]}`;

/** What to do about what lies there: `0.8 g more: 3 pinches`. */
export function balanceWords(balance: Balance, hands: InHands | null, stepG: number): string {
  switch (balance.kind) {
    case 'no-scale':
      return 'The scale says nothing. Is it on, and plugged in?';
    case 'fault':
      return balance.fault === 'over' ? 'More than it carries: take it off' : 'Lifted off: put it down';
    case 'nothing':
      return 'Put it on';
    case 'right':
      return 'Right: hold still';
    case 'under':
      return `${showWeighed(balance.differenceG, stepG)} more${hands ? `: ${handsOf(hands)}` : ''}`;
    case 'over':
      return `${showWeighed(-balance.differenceG, stepG)} too much${hands ? `: ${handsOf(hands)} off` : ''}`;
  }
}

/** What is asked before such a weight is kept. */
export function oddWords(odd: OddReading, massG: number, wantedG: number, stepG: number): string {
  const [lies, wanted] = [showWeighed(massG, stepG), showWeighed(wantedG, stepG)];
  switch (odd.code) {
    case 'below_nought':
      return `${lies} is below nought: something that was tared is off. Tare it anew.`;
    case 'factor_off':
      return odd.factor > 1
        ? `${lies} is ${showNumber(odd.factor, 0)} times the ${wanted} that are wanted. Is it another unit, or the bag on top of it?`
        : `${lies} is a ${showNumber(1 / odd.factor, 0)}th of the ${wanted} that are wanted. Is it another unit?`;
    case 'far_off':
      return `${lies} is far from the ${wanted} that are wanted. Is it the right bag?`;
    case 'more_than_there':
      return `The drawer had ${showWeighed(odd.onHandG, stepG)} by the ledger, and ${lies} lie here. Is it the right lot, or was the drawer never counted right?`;
  }
}

/** Beside its name: what else is to be known of it. */
export function scaleNotes({ isHere, isBatteryLow, tareG, notRead }: ScaleState, stepG: number): string[] {
  return [
    ...(isHere ? [] : ['not there']),
    ...(isBatteryLow ? ['its battery is low'] : []),
    ...(isHere && tareG > 0 ? [`tared by ${showWeighed(tareG, stepG)}`] : []),
    ...(notRead > 0 ? [`${notRead} lines could not be read`] : []),
  ];
}
