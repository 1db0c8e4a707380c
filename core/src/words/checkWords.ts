import type { Step } from '../pattern/index.ts';

/** What is looked at, and how it is when it is right: as the author put it, with what is left empty left out. */
export const checkWords = ({ look, pass }: Step['checks'][number]): string =>
  [look, pass].filter((words) => words !== '').join(': ');
