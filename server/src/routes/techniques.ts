import { OWNER } from '../access/caller.ts';
import { TechniqueInput } from '@lanakit/core/writing';
import { gone, listed, made, ok, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { TechniqueService } from '../services/techniqueService.ts';

/** Techniques: sequences of steps that patterns share. */
export const techniqueRoutes = (techniques: TechniqueService): Route[] => [
  route({
    method: 'get',
    path: '/techniques',
    summary: 'Every technique at its newest, by name',
    roles: OWNER,
    answers: [200],
    handle: () => listed(techniques.all()),
  }),
  route({
    method: 'post',
    path: '/techniques',
    summary: 'Begin a technique',
    roles: OWNER,
    body: TechniqueInput,
    answers: [201],
    handle: ({ body }) => made(techniques.begin(body), '/techniques'),
  }),
  route({
    method: 'get',
    path: '/techniques/:id',
    summary: 'A technique at its newest',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(techniques.find(id)),
  }),
  route({
    method: 'put',
    path: '/techniques/:id',
    summary: 'Make a new version of a technique; patterns keep theirs until they take it',
    roles: OWNER,
    body: TechniqueInput,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(techniques.save(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/techniques/:id',
    summary: 'Put a technique away; patterns that use it keep its steps',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id } }) => gone(techniques.putAway(id)),
  }),
  route({
    method: 'post',
    path: '/techniques/:id/restore',
    summary: 'Bring a technique back that was put away',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(techniques.restore(id)),
  }),
  ...techniqueVersionRoutes(techniques),
];

const techniqueVersionRoutes = (techniques: TechniqueService): Route[] => [
  route({
    method: 'get',
    path: '/techniques/:id/versions/:version',
    summary: 'One version of a technique, which never changes',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id, version } }) => ok(techniques.findVersion(id, Number(version))),
  }),
  route({
    method: 'get',
    path: '/techniques/:id/uses',
    summary: 'Drafts that use a technique, with the version each has',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => listed(techniques.usesOf(id)),
  }),
];
