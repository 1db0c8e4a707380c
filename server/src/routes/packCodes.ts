import { OWNER } from '../access/caller.ts';
import { gone, reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { StudioDoor } from '../http/studioDoor.ts';
import type { LearnerService } from '../services/learnerService.ts';

/** Codes of a class’s packs. */
export const packCodeRoutes = (learners: LearnerService, door: StudioDoor): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/codes',
    summary: 'The codes of its packs, by which learners open their pattern',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => withUrl(learners.codes(id), door),
  }),
  route({
    method: 'post',
    path: '/runs/:id/codes',
    summary: 'A code for every pack that has none',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => withUrl(learners.makeCodes(id), door),
  }),
  route({
    method: 'delete',
    path: '/runs/:id/codes',
    summary: 'End the codes of its packs',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id } }) => gone(learners.endCodes(id)),
  }),
];

const withUrl = (codes: ReturnType<LearnerService['codes']>, door: StudioDoor) =>
  reply(codes, (found) => ({ status: 200, body: { ...found, url: door.urls()[0] ?? null } }));
