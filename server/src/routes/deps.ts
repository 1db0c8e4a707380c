import type { Store } from '../db/index.ts';
import type { PdfTask } from '../papers/setPdf.ts';

/** What writing into the store takes. */
export interface StoreDeps {
  readonly store: Store;
  readonly now: () => Date;
  readonly newId: () => string;
}

/** What the world gives the routes. */
export interface RouteDeps extends StoreDeps {
  /** Sets a paper as a PDF. */
  readonly setPdf: (task: PdfTask) => Promise<Buffer>;
}

/** The calendar day where the studio is, YYYY-MM-DD. */
export function todayOf(now: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
