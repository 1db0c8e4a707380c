import { oneOf, strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { AT_THE_TABLE } from '../access/caller.ts';
import type { ScannerHub } from '../devices/scannerHub.ts';
import { listed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { Refusal } from '../services/refusal.ts';

const Act = Type.Union([
  Type.Object({ act: Type.Literal('scan'), text: Type.String({ maxLength: 400 }) }, strict),
  Type.Object({ act: oneOf(['unplug', 'plug'] as const) }, strict),
]);
const notFound = () => new Refusal({ code: 'not_found' });

/** Scanners, and what they scan as it happens. Nothing of it is kept. */
export const scannerRoutes = (scanners: ScannerHub): Route[] => [
  route({
    method: 'get',
    path: '/scanners',
    summary: 'Scanners that codes can be read with',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => listed(scanners.all()),
  }),
  route({
    method: 'get',
    path: '/scanners/:id/scans',
    summary: 'What it scans, as it happens',
    isWatched: true,
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) =>
      scanners.all().some((scanner) => scanner.id === id)
        ? { status: 200, events: (send) => scanners.watch(id, send) ?? (() => undefined) }
        : notFound(),
  }),
  route({
    method: 'post',
    path: '/scanners/:id/acts',
    summary: 'Scan something with a simulated scanner, unplug it, plug it in',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: Act,
    answers: [204],
    handle: ({ params: { id }, body }) => (scanners.act(id, body) ? { status: 204 } : notFound()),
  }),
];
