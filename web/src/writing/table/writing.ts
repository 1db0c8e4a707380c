/** What of a pattern is being written. */
export type Writing = 'parts' | 'joins' | 'materials' | 'steps' | 'needles' | 'options' | 'about';
