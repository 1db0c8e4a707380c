import type { ClassDay } from '@lanakit/core/api';
import type { ClassAct, ClassEvent } from '@lanakit/core/classDay';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { mutate } from 'swr';
import { ApiProblem, errorWords } from '../../api/client.ts';
import { addClassEvent } from '../../api/mutations/classDay.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useClassDayOf } from '../../api/queries.ts';
import { deviceKey } from '../../api/deviceKey.ts';
import { Outbox, type Waiting } from '../../draft/outbox.ts';
import { useNotice } from '../../shell/Notice.tsx';
import { outboxSender, useOutbox } from '../../shell/outboxSender.ts';
import { useRunNews, withEvents } from '../useRunNews.ts';

/** What was done here: when, what of the class was known then, and what. */
interface Done {
  readonly at: string;
  readonly from: string;
  readonly seen: number;
  readonly what: ClassAct;
}

const boxes = new Map<string, Outbox<Done>>();

function unsentActs(runId: string): Outbox<Done> {
  const outbox = boxes.get(runId) ?? new Outbox<Done>(`class/${runId}`);
  boxes.set(runId, outbox);
  return outbox;
}

/** How far this device’s clock is from the studio’s, milliseconds: what is done on both is put in one order. */
let offsetMs = 0;
const studioNow = (): number => Date.now() + offsetMs;

export interface ClassHere {
  readonly day: ClassDay;
  /** All that happened, what is not yet sent included. */
  readonly events: readonly ClassEvent[];
  readonly unsent: number;
  /** @returns the key by which it is taken back */
  readonly act: (what: ClassAct) => string;
}

/** A class on its day, as all devices have it and with what was done here since; null until it is read. */
export function useClassDay(runId: string): {
  readonly here: ClassHere | null;
  readonly error: Error | undefined;
} {
  useRunNews(runId);
  const { data: day, error } = useClassDayOf(runId);
  const outbox = unsentActs(runId);
  const waiting = useSyncExternalStore(outbox.watch, () => outbox.waiting);
  const send = useSender(runId, outbox);
  useEffect(() => {
    if (day) offsetMs = Date.parse(day.now) - Date.now();
    // Only when the studio has just answered.
  }, [day]);
  const events = useMemo(() => (day ? [...day.items, ...waiting.map(asEvent)] : []), [day, waiting]);
  if (!day) return { here: null, error };
  const act = (what: ClassAct): string => {
    const seen = day.items.at(-1)?.seq ?? 0;
    const { key } = outbox.put({ from: deviceKey(), at: new Date(studioNow()).toISOString(), seen, what });
    void send();
    return key;
  };
  return { here: { day, events, unsent: waiting.length, act }, error };
}

/** After all that is kept, in the order in which it was done. */
const asEvent = ({ key, what }: Waiting<Done>, at: number): ClassEvent => ({
  key,
  ...what,
  seq: Number.MAX_SAFE_INTEGER - 10_000 + at,
  device: null,
});

function useSender(runId: string, outbox: Outbox<Done>): () => Promise<void> {
  const say = useNotice();
  const sendAll = useMemo(() => {
    const path = `/runs/${runId}/class-day`;
    return outboxSender<Done>({
      outbox,
      send: async ({ key, what }) => {
        const known = await perform(addClassEvent(runId, { key, ...what }));
        await mutate<ClassDay>(path, (before) => before && withEvents(before, known), { revalidate: false });
      },
      refused: async (problem) => {
        const words = problem instanceof ApiProblem ? problem.problem.errors?.[0]?.message : undefined;
        say({ text: words ?? errorWords(problem), isProblem: true });
        await mutate(path);
      },
      say,
      subject: 'What happened in the class',
    });
  }, [outbox, runId, say]);
  useOutbox(outbox, sendAll);
  return sendAll;
}

/** The studio’s clock, now and then. */
export function useStudioClock(everyMs: number): number {
  const [nowMs, setNow] = useState(studioNow);
  useEffect(() => {
    const look = () => setNow(studioNow());
    // At once too: what is looked at more often from now on was looked at long ago.
    const [first, timer] = [setTimeout(look, 0), setInterval(look, everyMs)];
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [everyMs]);
  return nowMs;
}
