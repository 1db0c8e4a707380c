import type { CommissionState, SizeWanted, WorkPlace } from '@lanakit/core/commissions';
import { percentOf } from '@lanakit/core/base';
import { counted, showDay } from './show.ts';

export const COMMISSION_STATE_WORDS: Readonly<Record<CommissionState, string>> = {
  asked: 'asked for',
  agreed: 'agreed',
  made: 'made',
  'handed-over': 'handed over',
  declined: 'not to be',
};

/** How large it is wanted, where that is not the pattern’s own size; empty where it is. */
export function sizeWords(size: SizeWanted): string {
  switch (size.kind) {
    case 'size':
      return size.fraction === 1 ? '' : `At ${Math.round(percentOf(size.fraction))} % of the pattern’s size.`;
    case 'unknown':
      return 'The pattern does not say how tall it is: give its finished height under Figure, or leave the height empty here.';
    case 'too_far':
      return `That is ${size.fraction > 1 ? `${size.fraction.toFixed(1)} times` : `${Math.round(percentOf(size.fraction))} % of`} the pattern’s size, further than a figure is scaled. Choose another height or another pattern.`;
  }
}

/** When it has to begin, and what becomes of the day it is to begin on. */
export function placeWords(place: WorkPlace, byDay: string | null): string {
  const days = `${counted(place.workDays, 'day')} at the table`;
  if (place.lateOn !== null && byDay !== null)
    return `It takes ${days}. Begun then it is done on ${showDay(place.lateOn)}, and it is wanted by ${showDay(byDay)}.`;
  if (place.isTooLate && place.beginBy !== null)
    return `It takes ${days}, and would have had to begin on ${showDay(place.beginBy)}. Begun today it is done on ${showDay(place.doneIfBegunToday)}.`;
  if (place.days.length > 0) return `It takes ${days}, and is done on ${showDay(place.days.at(-1) ?? '')}.`;
  return place.beginBy === null
    ? `It takes ${days}. Begun today it is done on ${showDay(place.doneIfBegunToday)}.`
    : `It takes ${days}: begin by ${showDay(place.beginBy)}.`;
}
