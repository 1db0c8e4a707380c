import { daysBetween } from '../base/index.ts';
import type { Clock } from './touched.ts';

const MINUTES_A_DAY = 24 * 60;

/** The clock of the room where this runs, minutes from midnight of the class’s day. @param day YYYY-MM-DD */
export const clockOfDay =
  (day: string): Clock =>
  (at) => {
    const moment = new Date(at);
    const two = (value: number) => String(value).padStart(2, '0');
    const date = `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
    const minutes = moment.getHours() * 60 + moment.getMinutes() + moment.getSeconds() / 60;
    return daysBetween(day, date) * MINUTES_A_DAY + minutes;
  };
