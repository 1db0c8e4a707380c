/** Tells devices that look at a run that something of it was written, so that they ask anew at once. */
export interface RunNews {
  readonly tell: (runId: string, what: string) => void;
  /** @returns how to stop */
  readonly watch: (runId: string, send: (news: { readonly what: string }) => void) => () => void;
}

/** More pages than that have one run open nowhere. */
const MOST_WATCHERS = 200;

export function runNews(): RunNews {
  const watchers = new Map<string, Set<(news: { readonly what: string }) => void>>();
  return {
    tell(runId, what) {
      for (const send of watchers.get(runId) ?? []) send({ what });
    },
    watch(runId, send) {
      const watching = watchers.get(runId) ?? new Set();
      watchers.set(runId, watching);
      const [oldest] = watching;
      if (oldest && watching.size >= MOST_WATCHERS) watching.delete(oldest);
      watching.add(send);
      // At once: what was written between the last answer and now is asked for.
      send({ what: 'all' });
      return () => {
        watching.delete(send);
        if (watching.size === 0) watchers.delete(runId);
      };
    },
  };
}

/** What of a run a write was about; null: of none. @param path of the route, `/runs/:id/ticks` */
export function newsOf(path: string): string | null {
  const [, place, id, what] = path.split('/');
  return place === 'runs' && id === ':id' ? (what ?? 'run') : null;
}
