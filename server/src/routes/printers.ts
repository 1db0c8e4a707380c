import { oneOf, strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { AT_THE_TABLE } from '../access/caller.ts';
import type { PrinterHub } from '../devices/printerHub.ts';
import { listed, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { LabelJob, type PrintingService } from '../services/printingService.ts';
import { isRefusal, Refusal } from '../services/refusal.ts';

const Act = Type.Union([
  Type.Object({ act: Type.Literal('load'), pieces: Type.Integer({ minimum: 0, maximum: 10_000 }) }, strict),
  Type.Object({ act: oneOf(['jam', 'clear', 'unplug', 'plug', 'empty-tray'] as const) }, strict),
]);
const notFound = () => new Refusal({ code: 'not_found' });

/** Printers of labels: what they show, what they are to print. What is printed is kept by nobody but the paper. */
export const printerRoutes = (printers: PrinterHub, printing: PrintingService): Route[] => [
  route({
    method: 'get',
    path: '/label-codes/:code',
    summary: 'Where the label with this code belongs',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { code } }) => ok(printing.find(code)),
  }),
  route({
    method: 'get',
    path: '/printers',
    summary: 'Printers that labels can be printed on',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => listed(printers.all()),
  }),
  route({
    method: 'get',
    path: '/printers/:id/state',
    summary: 'What a printer shows, and what lies in the tray of a simulated one',
    isWatched: true,
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) =>
      printers.all().some((printer) => printer.id === id)
        ? { status: 200, events: (send) => printers.watch(id, send) ?? (() => undefined) }
        : notFound(),
  }),
  route({
    method: 'post',
    path: '/printers/:id/jobs',
    summary: 'Print labels of a run',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: LabelJob,
    answers: [202],
    handle: ({ params: { id }, body }) => {
      if (!printers.all().some((printer) => printer.id === id)) return notFound();
      const pieces = printing.pieces(body);
      if (isRefusal(pieces)) return pieces;
      return printers.print(id, pieces)
        ? { status: 202, body: { pieces: pieces.length } }
        : new Refusal({ code: 'too_busy' });
    },
  }),
  route({
    method: 'delete',
    path: '/printers/:id/jobs',
    summary: 'Give up what is not printed yet',
    roles: AT_THE_TABLE,
    isPassing: true,
    answers: [204],
    handle: ({ params: { id } }) => (printers.giveUp(id) ? { status: 204 } : notFound()),
  }),
  route({
    method: 'post',
    path: '/printers/:id/acts',
    summary: 'Do something to a simulated printer: load, jam, clear, unplug',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: Act,
    answers: [204],
    handle: ({ params: { id }, body }) => (printers.act(id, body) ? { status: 204 } : notFound()),
  }),
];
