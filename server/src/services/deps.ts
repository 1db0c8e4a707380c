import type { Store } from '../db/index.ts';
import type { Workshop } from './workshop.ts';

/** What the world gives the services. */
export interface ServiceDeps {
  readonly store: Store;
  readonly now: () => Date;
  readonly newId: () => string;
}

/** The same, who does what takes long, and where everything lies. */
export interface WorkDeps extends ServiceDeps {
  readonly work: Workshop;
  readonly dataDir: string;
}

/** The calendar day where the studio is, YYYY-MM-DD. */
export function todayOf(now: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
