import type { ClassDay, ClassEvents } from '@lanakit/core/api';
import { useEffect } from 'react';
import { mutate } from 'swr';
import { get } from '../api/client.ts';
import { apiPath } from '../api/studio.ts';

/** What is asked for anew when something of a run was written, by the part of it that was. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  ticks: ['/ticks'],
  tray: ['/tray'],
  state: ['', '/class-day', '/took'],
  run: ['', '/class-day'],
  all: ['/ticks', '/tray'],
};

/**
 * Told by the studio as soon as another device writes something of this run. A page nobody looks at is told nothing: a browser holds
 * only so many lines to one studio; when it is looked at again it asks for all.
 */
export function useRunNews(runId: string): void {
  useEffect(() => {
    let source: EventSource | null = null;
    const listen = () => {
      if (document.hidden) {
        source?.close();
        source = null;
        return;
      }
      if (source) return;
      source = new EventSource(apiPath(`/runs/${runId}/news`));
      source.onmessage = ({ data }) => hear(runId, (JSON.parse(String(data)) as { readonly what: string }).what);
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    return () => {
      document.removeEventListener('visibilitychange', listen);
      source?.close();
    };
  }, [runId]);
} // prettier-ignore

function hear(runId: string, what: string): void {
  for (const part of ASKED[what] ?? []) void mutate(`/runs/${runId}${part}`);
  if (what === 'class-day' || what === 'all') void catchUp(runId);
}

/** Only what is new, into what is known: a class of twenty devices is not sent to each whole with every tap. */
async function catchUp(runId: string): Promise<void> {
  const path = `/runs/${runId}/class-day`;
  await mutate<ClassDay>(
    path,
    async (known) => {
      if (!known) return known;
      const last = known.items.at(-1)?.seq ?? 0;
      return withEvents(known, await get<ClassEvents>(`${path}/events?after=${last}`));
    },
    { revalidate: false },
  ).catch(() => undefined);
}

/** What was known and what is new, each once, in the order in which it came in. */
export function withEvents(known: ClassDay, { items, now }: ClassEvents): ClassDay {
  const bySeq = new Map([...known.items, ...items].map((event) => [event.seq, event]));
  return { ...known, now, items: [...bySeq.values()].toSorted((a, b) => a.seq - b.seq) };
}
