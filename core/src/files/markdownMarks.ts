/** Marks by which our own Markdown is read back: written in one place, read in another, never guessed from a sentence. */
export const MARKDOWN = {
  pieces: 'Pieces',
  cuts: 'Cut to size',
  materials: 'Materials',
  tools: 'Tools',
  check: '**Check:**',
  how: '**How:**',
  pass: '**Right when:**',
  remedy: '**If not:**',
  decide: '**Decide:**',
  answer: '☐',
  cue: '**Stop or change when:**',
  recall: '**As decided in step:**',
  wool: '**Wool:**',
  before: 'Before you begin:',
} as const;

/** Where a check sends back to. */
export const backWords = (step: number): string => `(back to step ${step})`;
export const BACK = /(?: |^)\(back to step (\d+)\)$/;

/** Text that stands for itself in Markdown. */
export const escaped = (text: string): string => text.replaceAll(/([\\`*_[\]<>#])/g, String.raw`\$1`);
export const unescaped = (text: string): string => text.replaceAll(/\\([\\`*_[\]<>#])/g, '$1');
