import type { ClassDay, ClassEvents } from '@lanakit/core/api';
import { mutate } from 'swr';
import { get } from '../api/client.ts';
import { useServerEvents } from '../api/useServerEvents.ts';

/** What is asked for anew when something of a run was written, by the part of it that was; of any other part: the run itself. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  ticks: ['/ticks', '/took'],
  tray: ['/tray'],
  'class-day': ['/took', '/class-day/events'],
  all: ['/ticks', '/tray', '/took', '/class-day/events'],
};

/** Told by the studio as soon as another device writes something of this run. */
export function useRunNews(runId: string): void {
  useServerEvents<{ readonly what: string }>(`/runs/${runId}/news`, {
    onEvent: ({ what }) => hear(runId, what),
  });
}

function hear(runId: string, what: string): void {
  const path = `/runs/${runId}`;
  const asked = ASKED[what];
  for (const part of asked ?? ['/class-day', '/took']) void mutate(path + part);
  // A run is asked for under a key of each visit.
  if (!asked) void mutate((key) => typeof key === 'string' && key.startsWith(`${path}#`));
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
