import dayjs from 'dayjs';

/** So many days from today, YYYY-MM-DD. */
export const todayPlus = (days: number): string => dayjs().add(days, 'day').format('YYYY-MM-DD');

/** A moment by the clock of this device: 14:05. @param at ISO 8601 */
export function timeWords(at: string): string {
  const moment = new Date(at);
  return `${String(moment.getHours()).padStart(2, '0')}:${String(moment.getMinutes()).padStart(2, '0')}`;
}
