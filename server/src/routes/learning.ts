import { oneOf, orUnknown, strict } from '@lanakit/core/base';
import { MakingInput } from '@lanakit/core/logbook';
import { Type } from '@sinclair/typebox';
import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { EVIDENCE_CHOICES } from '../db/learnt.ts';
import { gone, listed, made, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { LearningService } from '../services/learningService.ts';
import type { MakingService } from '../services/makingService.ts';

/** Figures that were made, as they are written down. */
export const makingRoutes = (makings: MakingService): Route[] => [
  route({
    method: 'get',
    path: '/makings',
    summary: 'Figures that were made, the last first',
    roles: OWNER,
    answers: [200],
    handle: () => listed(makings.list()),
  }),
  route({
    method: 'post',
    path: '/makings',
    summary: 'Write down a figure that is made; its pattern is kept with it as it is now',
    roles: OWNER,
    body: MakingInput,
    answers: [201],
    handle: ({ body }) => made(makings.begin(body), '/makings'),
  }),
  route({
    method: 'get',
    path: '/makings/:id/page',
    summary: 'One making with the build it is of, what it teaches, and what can hardly be',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => ok(makings.page(id)),
  }),
  route({
    method: 'get',
    path: '/makings/:id',
    summary: 'A making as it is written down',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(makings.find(id)),
  }),
  route({
    method: 'put',
    path: '/makings/:id',
    summary: 'Write on',
    roles: OWNER,
    body: MakingInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(makings.save(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/makings/:id',
    summary: 'Delete a making; what was learnt of it and taken stays until it is taken anew',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id } }) => gone(makings.remove(id)),
  }),
  route({
    method: 'post',
    path: '/makings/:id/restore',
    summary: 'Bring a making back that was deleted',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(makings.restore(id)),
  }),
];

/** What all of it teaches. */
export const learningRoutes = (learning: LearningService): Route[] => [
  route({
    method: 'get',
    path: '/learnt',
    summary: 'What was learnt, as it is in force in every pattern; null: nothing yet',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => ok(learning.inForce()),
  }),
  route({
    method: 'get',
    path: '/learning',
    summary: 'What everything weighed teaches, how good estimates were, and what taking it would change',
    roles: OWNER,
    answers: [200],
    handle: () => ok(learning.state()),
  }),
  route({
    method: 'get',
    path: '/learning/fresh',
    summary: 'How many weighings are not in force yet, or no longer count',
    roles: OWNER,
    answers: [200],
    handle: () => ok(learning.fresh()),
  }),
  route({
    method: 'post',
    path: '/learning/take',
    summary: 'Take it: in force in every pattern from now on; runs keep what they were planned with',
    roles: OWNER,
    answers: [200],
    handle: () => ok(learning.take()),
  }),
  route({
    method: 'put',
    path: '/learning/evidence/:id',
    summary: 'Leave something weighed out, or say that an odd one is meant so; null: as usual',
    roles: OWNER,
    body: Type.Object({ choice: orUnknown(oneOf(EVIDENCE_CHOICES)) }, strict),
    answers: [200],
    handle: ({ params: { id }, body }) => ok(learning.choose(id, body.choice)),
  }),
  route({
    method: 'put',
    path: '/learning/terms',
    summary: 'Say after how many months a weighing counts half; null: for good',
    roles: OWNER,
    body: Type.Object({ halfLifeMonths: orUnknown(Type.Number({ minimum: 1, maximum: 120 })) }, strict),
    answers: [200],
    handle: ({ body }) => ok(learning.setHalfLife(body.halfLifeMonths)),
  }),
];
