import type { PaperProgress } from '../papers/setBooklet.ts';

/** How far papers have come that take long: told to whoever watches the name they were asked for under. */
export interface PaperProgressBoard {
  readonly tell: (job: string, progress: PaperProgress) => void;
  /** @returns how to stop */
  readonly watch: (job: string, send: (progress: PaperProgress) => void) => () => void;
}

/** More than these are not made and watched at once in one studio. */
const MOST_WATCHED = 50;

export function paperProgressBoard(): PaperProgressBoard {
  const watchers = new Map<string, (progress: PaperProgress) => void>();
  return {
    tell: (job, progress) => watchers.get(job)?.(progress),
    watch(job, send) {
      const [oldest] = watchers.keys();
      if (oldest !== undefined && watchers.size >= MOST_WATCHED) watchers.delete(oldest);
      watchers.set(job, send);
      return () => {
        if (watchers.get(job) === send) watchers.delete(job);
      };
    },
  };
}
