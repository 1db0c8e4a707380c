import type { Pattern } from '../pattern/index.ts';

/** `Woodland, no. 2`. */
export const seriesWords = ({ name, number }: NonNullable<Pattern['series']>): string =>
  number === null ? name : `${name}, no. ${number}`;
