import dayjs from 'dayjs';

/** So many days from today, YYYY-MM-DD. */
export const todayPlus = (days: number): string => dayjs().add(days, 'day').format('YYYY-MM-DD');
