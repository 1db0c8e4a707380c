import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { BlendLotMade, CountInput, HandMeasureInput, LotInput, MovementInput } from '@lanakit/core/shelf';
import { Type } from '@sinclair/typebox';
import { gone, listed, reply, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { StockService } from '../services/stockService.ts';

const Id = Type.String({ minLength: 1, maxLength: 40 });
/** Lots, the ledger, blended lots, what hands take, and what runs ahead will take. */
export const stockRoutes = (stock: StockService): Route[] => [
  ...ledgerRoutes(stock),
  ...lotRoutes(stock),
  route({
    method: 'get',
    path: '/promised',
    summary: 'What runs ahead will take of each fibre, and which runs',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: async () => listed(await stock.promisedAhead()),
  }),
  route({
    method: 'get',
    path: '/hand-measures',
    summary: 'What the maker’s wisp, pinch and tuft weigh',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => listed(stock.handMeasures()),
  }),
  route({
    method: 'put',
    path: '/hand-measures',
    summary: 'Enter what a wisp, pinch or tuft was found to weigh',
    roles: OWNER,
    body: HandMeasureInput,
    answers: [200],
    handle: ({ body }) => listed(stock.setHandMeasure(body)),
  }),
];

const ledgerRoutes = (stock: StockService): Route[] => [
  route({
    method: 'post',
    path: '/stock/counts',
    summary: 'A stocktake: each count is entered as the difference to what the ledger says, all or none',
    roles: AT_THE_TABLE,
    body: Type.Object({ counts: Type.Array(CountInput, { minItems: 1, maxItems: 5000 }) }, strict),
    answers: [200],
    handle: ({ body }) => listed(stock.count(body.counts)),
  }),
  route({
    method: 'post',
    path: '/stock/movements',
    summary: 'Something came or went: received, returned, packed, used in a sample, spoiled',
    roles: OWNER,
    body: MovementInput,
    answers: [201],
    handle: ({ body }) => reply(stock.move(body), (item) => ({ status: 201, body: item })),
  }),
  route({
    method: 'get',
    path: '/stock/movements/:itemId',
    summary: 'The ledger of one thing, the newest first, at most 200 lines',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { itemId } }) => listed(stock.movementsOf(itemId)),
  }),
];

const lotRoutes = (stock: StockService): Route[] => [
  route({
    method: 'post',
    path: '/lots/of/:itemId',
    summary: 'A new lot of a fibre or blend, with what is there of it',
    roles: OWNER,
    body: Type.Object(
      { ...LotInput.properties, receivedG: Type.Union([Type.Number(), Type.Null()]) },
      strict,
    ),
    answers: [201],
    handle: ({ params: { itemId }, body: { receivedG, ...input } }) =>
      reply(stock.addLot(itemId, input, receivedG), ({ item, lotId }) => ({
        status: 201,
        body: item,
        location: `/api/lots/${lotId}`,
      })),
  }),
  route({
    method: 'put',
    path: '/lots',
    summary: 'Change several lots at once, all or none: move them, re-price them',
    roles: OWNER,
    body: Type.Object(
      {
        lots: Type.Array(Type.Object({ id: Id, version: Type.Integer(), input: LotInput }, strict), {
          minItems: 1,
          maxItems: 5000,
        }),
      },
      strict,
    ),
    answers: [200],
    handle: ({ body }) => listed(stock.saveLots(body.lots)),
  }),
  route({
    method: 'put',
    path: '/lots/:id',
    summary: 'Change a lot',
    roles: OWNER,
    body: LotInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(stock.saveLot({ id, version, input: body })),
  }),
  route({
    method: 'delete',
    path: '/lots/:id',
    summary: 'Take away a lot that nothing ever moved in or out of',
    roles: OWNER,
    ifMatch: true,
    answers: [204],
    handle: ({ params: { id }, version }) => gone(stock.removeLot(id, version)),
  }),
  route({
    method: 'post',
    path: '/blends/:id/lots',
    summary: 'Make a lot of a blend: what is weighed leaves its lots and comes into the new one',
    roles: OWNER,
    body: BlendLotMade,
    answers: [201],
    handle: ({ params: { id }, body }) =>
      reply(stock.makeBlendLot(id, body), (item) => ({ status: 201, body: item })),
  }),
];
