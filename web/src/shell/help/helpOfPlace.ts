import type { TermId } from '@lanakit/core/words';

export type KeyLine = readonly [keys: string, what: string];

/** What may be asked of a place. */
export interface PlaceHelp {
  readonly isAt: (pathname: string) => boolean;
  readonly title: string;
  /** The question it answers. */
  readonly answers: string;
  /** What is done here, in the order in which hands do it. */
  readonly ways: readonly string[];
  readonly terms: readonly TermId[];
  readonly keys: readonly KeyLine[];
}

export const at = (pattern: RegExp) => (pathname: string) => pattern.test(pathname);

export const PRINT_KEYS: readonly KeyLine[] = [['Ctrl P', 'Print what is shown, at 100 %']];
