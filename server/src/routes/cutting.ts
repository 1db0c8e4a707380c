import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { CuttingInput, CuttingTerms } from '@lanakit/core/cutting';
import { Type } from '@sinclair/typebox';
import { gone, made, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { CuttingService } from '../services/cuttingService.ts';

/** What is cut to size for runs, and plans that are being cut. */
export const cuttingRoutes = (cutting: CuttingService): Route[] => [
  route({
    method: 'get',
    path: '/cutting',
    summary: 'What runs ahead want cut, from what there is, and plans that are being cut',
    roles: OWNER,
    answers: [200],
    handle: async () => ok(await cutting.wanted()),
  }),
  route({
    method: 'put',
    path: '/cutting/terms',
    summary: 'Say how you cut: what each cut takes, what ends and margins are of no use, what is kept',
    roles: OWNER,
    body: CuttingTerms,
    answers: [200],
    handle: ({ body }) => ok(cutting.setTerms(body)),
  }),
  route({
    method: 'post',
    path: '/cutting/plans',
    summary: 'Keep a plan, to be cut and ticked off',
    roles: OWNER,
    body: CuttingInput,
    answers: [201],
    handle: ({ body }) => made(cutting.take(body), '/cutting/plans'),
  }),
  route({
    method: 'get',
    path: '/cutting/plans/:id',
    summary: 'A plan, and what of it is cut',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(cutting.find(id)),
  }),
  route({
    method: 'post',
    path: '/cutting/plans/:id/ticks',
    summary: 'A stick or sheet is cut, or was not after all: what is left goes back to the shelf',
    roles: OWNER,
    body: Type.Object({ stock: Type.Integer({ minimum: 0 }), isDone: Type.Boolean() }, strict),
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body: { stock, isDone }, version }) =>
      versioned(cutting.tick(id, version, stock, isDone)),
  }),
  route({
    method: 'delete',
    path: '/cutting/plans/:id',
    summary: 'Put a plan away; what is cut stays cut',
    roles: OWNER,
    ifMatch: true,
    answers: [204],
    handle: ({ params: { id }, version }) => gone(cutting.putAway(id, version)),
  }),
];
