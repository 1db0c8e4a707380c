import { CommissionInput } from '@lanakit/core/commissions';
import { orUnknown, strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { filed, gone, listed, made, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { CommissionService } from '../services/commissionService.ts';
import type { GalleryService } from '../services/galleryService.ts';
import type { YearService } from '../services/yearService.ts';

/** Who asked for what. */
export const commissionRoutes = (commissions: CommissionService): Route[] => [
  route({
    method: 'get',
    path: '/commissions',
    summary: 'What was asked for, those wanted soonest first',
    roles: OWNER,
    answers: [200],
    handle: () => listed(commissions.list()),
  }),
  route({
    method: 'post',
    path: '/commissions',
    summary: 'Write down what somebody asks for',
    roles: OWNER,
    body: CommissionInput,
    answers: [201],
    handle: ({ body }) => made(commissions.begin(body), '/commissions'),
  }),
  route({
    method: 'get',
    path: '/commissions/calendar',
    summary: 'Days on which what was asked for is made and wanted, as iCalendar (RFC 5545)',
    roles: OWNER,
    answers: [200],
    handle: () => filed(commissions.calendar()),
  }),
  route({
    method: 'get',
    path: '/commissions/:id/page',
    summary:
      'One of them with the days that are taken, patterns that may answer it, and whether the shelf has enough',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => ok(commissions.page(id)),
  }),
  route({
    method: 'get',
    path: '/commissions/:id',
    summary: 'What somebody asked for, as it is written down',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(commissions.find(id)),
  }),
  route({
    method: 'put',
    path: '/commissions/:id',
    summary: 'Write on',
    roles: OWNER,
    body: CommissionInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(commissions.save(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/commissions/:id',
    summary: 'Delete what was asked for',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id } }) => gone(commissions.remove(id)),
  }),
  route({
    method: 'post',
    path: '/commissions/:id/restore',
    summary: 'Bring back what was asked for',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(commissions.restore(id)),
  }),
];

/** What the studio did, and shows of it. */
export const yearRoutes = (year: YearService, gallery: GalleryService): Route[] => [
  route({
    method: 'get',
    path: '/gallery',
    summary: 'Finished figures with their pictures, the last first',
    roles: OWNER,
    answers: [200],
    handle: () => listed(gallery.all()),
  }),
  route({
    method: 'get',
    path: '/year',
    summary: 'Wool, figures, kits, hours and money of a year, by month and pattern',
    roles: OWNER,
    query: ['year'],
    answers: [200],
    handle: ({ query }) => ok(year.year(query.year ?? null)),
  }),
  route({
    method: 'put',
    path: '/runs/:id/takings',
    summary: 'Say what came in for a class or a batch of kits',
    roles: OWNER,
    body: Type.Object({ minor: orUnknown(Type.Integer({ minimum: 0, maximum: 100_000_000 })) }, strict),
    answers: [200],
    handle: ({ params: { id }, body }) => ok(year.setTakings(id, body.minor)),
  }),
  route({
    method: 'get',
    path: '/seasons',
    summary: 'What was taught and sold in which month, and what to prepare now',
    roles: OWNER,
    answers: [200],
    handle: () => ok(year.seasons()),
  }),
];
