/** What of a pattern is being written. */
export type Writing = 'parts' | 'joins' | 'materials' | 'steps' | 'needles' | 'options' | 'about';

/** As a sheet of it is called. */
export const WRITING_WORDS: Readonly<Record<Writing, string>> = {
  parts: 'Parts',
  joins: 'Joins',
  materials: 'Materials',
  steps: 'Steps',
  needles: 'Needles',
  options: 'Options',
  about: 'About',
};
