export {
  counted,
  findingAmount,
  showChange,
  showCount,
  showDay,
  showGramNumber,
  showGrams,
  showLikely,
  showKnownMinutes,
  showMinutes,
  showMoney,
  showPace,
  showRange,
  showUseGrams,
  timesWords,
  showWeighed,
  showWeighedNumber,
} from '@lanakit/core/words';

/** A published pattern by its name and number, and whether it is of wool only. */
export const revisionName = (revision: {
  readonly title: string;
  readonly number: number;
  readonly isWoolOnly: boolean;
}): string => `${revision.title}, revision ${revision.number}${revision.isWoolOnly ? ', wool only' : ''}`;

/** A sum of which some is unknown, where how much of it is said beside it: of nothing known it is no nought. */
export const showKnownPart = (
  { known, unknownCount }: { readonly known: number; readonly unknownCount: number },
  show: (known: number) => string,
): string => (known === 0 && unknownCount > 0 ? 'unknown' : show(known));

/** How far off a day is, in whole days. */
export function showDaysOff(date: string, today: string): string {
  const days = Math.round((Date.parse(`${date}T12:00:00Z`) - Date.parse(`${today}T12:00:00Z`)) / 86_400_000);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `${days} days off` : `${-days} days ago`;
}

export { PREPARATION_WORDS } from '@lanakit/core/words';

export { FIRMNESS_WORDS, LEVEL_WORDS, PACKING_WORDS, SHAPE_WORDS, STAGE_WORDS } from '@lanakit/core/words';
