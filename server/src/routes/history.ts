import { OWNER } from '../access/caller.ts';
import type { KeptKind } from '@lanakit/core/api';
import { listed, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { HistoryService } from '../services/historyService.ts';
import { Refusal } from '../services/refusal.ts';

const KINDS: readonly KeptKind[] = ['pattern', 'run', 'item'];
const kindOf = (text: string): KeptKind | undefined => KINDS.find((kind) => kind === text);
const NOTHING = () => new Refusal({ code: 'not_found' });

/** What patterns, runs and things of the shelf were before. */
export const historyRoutes = (history: HistoryService): Route[] => [
  route({
    method: 'get',
    path: '/history/:kind/:id',
    summary: 'States of a pattern, run or item before its changes, and what lost a conflict; the last first',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { kind: text, id } }) => {
      const kind = kindOf(text);
      return kind ? listed(history.all(kind, id)) : NOTHING();
    },
  }),
  route({
    method: 'get',
    path: '/history/:kind/:id/now',
    summary: 'The same as it is now, to be set beside what it was',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { kind: text, id } }) => {
      const kind = kindOf(text);
      return kind ? ok(history.now(kind, id)) : NOTHING();
    },
  }),
  route({
    method: 'get',
    path: '/history/:kind/:id/states/:entry',
    summary: 'One state of before, whole',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { kind: text, id, entry } }) => {
      const kind = kindOf(text);
      return kind ? ok(history.read(kind, id, Number(entry) || 0)) : NOTHING();
    },
  }),
  route({
    method: 'post',
    path: '/history/:kind/:id/states/:entry/go-back',
    summary: 'Make it again what it was: saved as any other change is, with the same checks',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { kind: text, id, entry }, version }) => {
      const kind = kindOf(text);
      return kind ? versioned(history.goBack(kind, id, Number(entry) || 0, version)) : NOTHING();
    },
  }),
];
