import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { ArrivalInput, BuyingTerms, OrderInput } from '@lanakit/core/buying';
import { Type } from '@sinclair/typebox';
import { filed, listed, made, ok, reply, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { BuyingService } from '../services/buyingService.ts';
import type { MakesService } from '../services/makesService.ts';
import type { OrderService } from '../services/orderService.ts';

/** What runs ahead want, and what is ordered of suppliers for them. */
export const buyingRoutes = (buying: BuyingService, orders: OrderService, makes: MakesService): Route[] => [
  route({
    method: 'get',
    path: '/buying',
    summary: 'What runs ahead want of the shelf, by when, and what is on its way',
    roles: OWNER,
    answers: [200],
    handle: async () => ok(await buying.wanted()),
  }),
  route({
    method: 'get',
    path: '/buying/calendar',
    summary: 'Days to order by, to begin by and to expect parcels on, as iCalendar',
    roles: OWNER,
    answers: [200],
    handle: async () => filed(await buying.calendar()),
  }),
  route({
    method: 'put',
    path: '/buying/terms',
    summary: 'Say when you work, and how long what you make is on its way',
    roles: OWNER,
    body: BuyingTerms,
    answers: [200],
    handle: ({ body }) => ok(buying.setTerms(body)),
  }),
  route({
    method: 'put',
    path: '/stock/levels/:itemId',
    summary: 'Say below how much a thing runs low; null: no level',
    roles: OWNER,
    body: Type.Object({ least: Type.Union([Type.Number(), Type.Null()]) }, strict),
    answers: [200],
    handle: ({ params: { itemId }, body }) => ok(buying.setLevel(itemId, body.least)),
  }),
  route({
    method: 'get',
    path: '/makes',
    summary: 'How many of each published figure the shelf allows; of a heap of fibres, what would use it up',
    roles: OWNER,
    query: ['heap', 'all'],
    answers: [200],
    handle: async ({ query: { heap = '', all } }) => ok(await makes.makes(idsIn(heap), all === 'yes')),
  }),
  ...orderRoutes(orders),
];

/** Fibres of one heap. */
const MOST_IN_HEAP = 60;

const idsIn = (text: string): string[] =>
  text
    .split(',')
    .filter((id) => id !== '')
    .slice(0, MOST_IN_HEAP);

const orderRoutes = (orders: OrderService): Route[] => [
  route({
    method: 'get',
    path: '/orders',
    summary: 'Every order, the newest first',
    roles: OWNER,
    answers: [200],
    handle: () => listed(orders.all()),
  }),
  route({
    method: 'post',
    path: '/orders',
    summary: 'Draft an order of one supplier',
    roles: OWNER,
    body: OrderInput,
    answers: [201],
    handle: ({ body }) => made(orders.draft(body), '/orders'),
  }),
  route({
    method: 'post',
    path: '/orders/together',
    summary: 'Draft the orders of a plan, all or none',
    roles: OWNER,
    body: Type.Object({ orders: Type.Array(OrderInput, { minItems: 1, maxItems: 100 }) }, strict),
    answers: [201],
    handle: ({ body }) => reply(orders.draftAll(body.orders), (items) => ({ status: 201, body: { items } })),
  }),
  route({
    method: 'get',
    path: '/orders/:id',
    summary: 'An order, and what has come of it',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(orders.find(id)),
  }),
  route({
    method: 'put',
    path: '/orders/:id',
    summary: 'Change an order that is not sent; of one that is, the day it is expected and the note',
    roles: OWNER,
    body: OrderInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(orders.save(id, version, body)),
  }),
  route({
    method: 'get',
    path: '/orders/:id/sheet/pdf',
    summary: 'An order as it is sent, as PDF',
    roles: OWNER,
    answers: [200],
    handle: async ({ params: { id }, signal }) => filed(await orders.pdf(id, signal)),
  }),
  route({
    method: 'get',
    path: '/orders/:id/sheet/csv',
    summary: 'An order as it is sent, as a table',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => filed(orders.csv(id)),
  }),
  route({
    method: 'get',
    path: '/orders/:id/sheet/xlsx',
    summary: 'An order as it is sent, as a spreadsheet workbook, units in its headings',
    roles: OWNER,
    answers: [200],
    handle: async ({ params: { id } }) => filed(await orders.workbook(id)),
  }),
  ...stageRoutes(orders),
];

const stageRoutes = (orders: OrderService): Route[] => [
  route({
    method: 'post',
    path: '/orders/:id/sent',
    summary: 'It is sent to the supplier',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(orders.send(id, version)),
  }),
  route({
    method: 'post',
    path: '/orders/:id/drafted',
    summary: 'It was not sent after all, or is taken up again',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(orders.callBack(id, version)),
  }),
  route({
    method: 'post',
    path: '/orders/:id/dropped',
    summary: 'Nothing of it will be bought',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(orders.drop(id, version)),
  }),
  route({
    method: 'post',
    path: '/orders/:id/arrivals',
    summary: 'Some or all of it came: it goes on the shelf, into lots of its own with the price paid',
    roles: OWNER,
    body: ArrivalInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(orders.arrive(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/orders/:id/arrivals/last',
    summary: 'The last arrival was a slip: what it put on the shelf is taken off again',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(orders.takeBack(id, version)),
  }),
];
