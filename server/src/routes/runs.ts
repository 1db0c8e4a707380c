import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { type Run, RunInput, StateInput, TickInput } from '@lanakit/core/run';
import { gone, made, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { isRefusal, type Outcome } from '../services/refusal.ts';
import type { RunService } from '../services/runService.ts';

/** Classes and batches of kits: planned, weighed, packed, and what the ones before each will have taken. */
export const runRoutes = (runs: RunService): Route[] => [
  route({
    method: 'post',
    path: '/runs',
    summary: 'Plan a class or a batch of kits',
    roles: OWNER,
    body: RunInput,
    answers: [201],
    handle: ({ body }) => madeRun(runs, runs.plan(body)),
  }),
  route({
    method: 'get',
    path: '/runs/:id',
    summary: 'One run',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: async ({ params: { id } }) => versioned(await runs.find(id)),
  }),
  route({
    method: 'put',
    path: '/runs/:id',
    summary: 'Change a run',
    roles: OWNER,
    body: RunInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(runs.save(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/runs/:id',
    summary: 'Delete a run',
    roles: OWNER,
    ifMatch: true,
    answers: [204],
    handle: ({ params: { id }, version }) => gone(runs.remove(id, version)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/restore',
    summary: 'Undo deleting a run',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(runs.restore(id)),
  }),
  ...runStateRoutes(runs),
];

const runStateRoutes = (runs: RunService): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/promised',
    summary: 'What runs before this one will take, of fibres and of things',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: async ({ params: { id } }) => ok(await runs.promisedBefore(id)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/state',
    summary: 'On to the next state, or back to the one before',
    roles: OWNER,
    body: StateInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(runs.move(id, version, body)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/replan',
    summary: 'Take the numbers as they would be now',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(runs.replan(id, version)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/people-forgotten',
    summary: 'Forget who came: names, notes, what they may not touch, in the run and its history',
    roles: OWNER,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, version }) => versioned(runs.forgetPeople(id, version)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/copy',
    summary: 'The same again, planned anew',
    roles: OWNER,
    answers: [201],
    handle: ({ params: { id } }) => madeRun(runs, runs.copy(id)),
  }),
  route({
    method: 'get',
    path: '/runs/:id/ticks',
    summary: 'What is weighed and packed of a run',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) => ok(runs.ticks(id)),
  }),
  route({
    method: 'post',
    path: '/runs/:id/ticks',
    summary: 'Something is weighed or packed, or is not after all',
    roles: AT_THE_TABLE,
    body: TickInput,
    answers: [200],
    handle: ({ params: { id }, body, caller }) => ok(runs.tick(id, body, caller.name)),
  }),
];

/** A new run, opened. */
const madeRun = (runs: RunService, planned: Outcome<Run>) =>
  made(isRefusal(planned) ? planned : runs.opened(planned.id), '/runs');
