import { type FirstClassInput, startBody } from '@lanakit/core/starts';
import { todayPlus } from '../words/days.ts';

/** A class in two weeks: there is time to buy wool. */
const DAYS_AHEAD = 14;

/** A class as it begins. */
export const begunClass = (): NonNullable<FirstClassInput['class']> => ({
  people: 8,
  date: todayPlus(DAYS_AHEAD),
});

/** The short way before anything is said. */
export const begun = (bodyId: string): FirstClassInput => ({
  title: '',
  bodyId,
  heightMm: startBody(bodyId)?.heightMm ?? 100,
  main: { from: 'new', colourId: 'sea' },
  second: { from: 'new', colourId: 'chalk' },
  class: begunClass(),
});
