import { AT_THE_TABLE } from '../access/caller.ts';
import { ResolveInput, TapInput } from '@lanakit/core/needles';
import { listed, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { TrayService } from '../services/trayService.ts';

/** Needles of a class: counted out and in by taps, closed, and what is missing resolved. */
export const trayRoutes = (trays: TrayService): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/tray',
    summary: 'Needles of a class, out and in',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) => ok(trays.find(id)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/tray/taps',
    summary: 'One tap at the tray',
    roles: AT_THE_TABLE,
    body: TapInput,
    answers: [200],
    handle: ({ params: { id }, body, caller }) => ok(trays.tap(id, body, caller.name)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/tray/close',
    summary: 'Everybody has gone: what is still out is missing',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id }, caller }) => ok(trays.close(id, caller.name)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/tray/reopen',
    summary: 'Count on: what was missing is out again',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id }, caller }) => ok(trays.reopen(id, caller.name)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/tray/resolve',
    summary: 'A missing needle is found, or given up with a reason',
    roles: AT_THE_TABLE,
    body: ResolveInput,
    answers: [200],
    handle: ({ params: { id }, body, caller }) => ok(trays.resolve(id, body, caller.name)),
  }),
  route({
    method: 'get',
    path: '/needle-evidence',
    summary: 'How often needles of each gauge have broken',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => listed(trays.evidence()),
  }),
];
