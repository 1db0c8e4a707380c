import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { ANYBODY, WITH_A_PACK } from '../access/caller.ts';
import { ok } from '../http/replies.ts';
import { HttpProblem } from '../http/problems.ts';
import { route, type Route } from '../http/route.ts';
import type { StudioDoor } from '../http/studioDoor.ts';
import type { RunNews } from '../http/runNews.ts';
import type { ClassDayService } from '../services/classDayService.ts';
import { isRefusal } from '../services/refusal.ts';
import type { LearnerService } from '../services/learnerService.ts';

const Code = Type.Object({ code: Type.String({ maxLength: 40 }) }, strict);

/** Who asks, how they come and how they go; and the one thing a learner sees. */
export const sessionRoutes = (
  door: StudioDoor,
  learners: LearnerService,
  days: ClassDayService,
  news: RunNews,
): Route[] => [
  route({
    method: 'get',
    path: '/session',
    summary: 'Whether the studio asks who is there, and as whom it knows who asks',
    roles: ANYBODY,
    answers: [200],
    handle: ({ caller }) => ok(door.session(caller)),
  }),
  route({
    method: 'post',
    path: '/session',
    summary: 'Log in by the passphrase',
    roles: ANYBODY,
    isApart: true,
    body: Type.Object({ passphrase: Type.String({ maxLength: 1000 }) }, strict),
    answers: [204],
    handle: async ({ body, caller }) => ({
      status: 204,
      tokens: { device: await door.logIn(body.passphrase, caller.address) },
    }),
  }),
  route({
    method: 'delete',
    path: '/session',
    summary: 'Log out on this device',
    roles: ANYBODY,
    answers: [204],
    handle: ({ caller }) => {
      door.leave(caller);
      return { status: 204, tokens: { device: null, pack: null } };
    },
  }),
  route({
    method: 'post',
    path: '/session/pairing',
    summary: 'Pair this device by the code on the owner’s screen',
    roles: ANYBODY,
    isApart: true,
    body: Code,
    answers: [204],
    handle: async ({ body, caller }) => ({
      status: 204,
      tokens: { device: await door.pair(body.code, caller.address) },
    }),
  }),
  route({
    method: 'post',
    path: '/session/pack',
    summary: 'Open the pattern of a pack by its code',
    roles: ANYBODY,
    isApart: true,
    body: Code,
    answers: [204],
    handle: async ({ body, caller }) => ({
      status: 204,
      tokens: {
        pack: await door.openPack(caller.address, () => {
          const place = learners.placeOf(body.code);
          return isRefusal(place) ? null : place;
        }),
      },
    }),
  }),
  route({
    method: 'get',
    path: '/pack',
    summary: 'The pattern of the pack whose code was given, as its learner makes it',
    roles: WITH_A_PACK,
    answers: [200],
    handle: ({ caller }) => {
      if (caller.pack === null || learners.isOpen(caller.pack) !== true) throw new HttpProblem('code_wrong');
      return ok(learners.open(caller.pack));
    },
  }),
  route({
    method: 'post',
    path: '/pack/hand',
    summary: 'Put a hand up in the class, or down again',
    roles: WITH_A_PACK,
    body: Type.Object({ key: Type.String({ minLength: 1, maxLength: 40 }), isUp: Type.Boolean() }, strict),
    answers: [200],
    handle: ({ caller, body }) => {
      if (caller.pack === null || learners.isOpen(caller.pack) !== true) throw new HttpProblem('code_wrong');
      const answer = days.hand(caller.pack, body);
      if (isRefusal(answer)) return answer;
      news.tell(caller.pack.runId, 'class-day');
      return ok(answer);
    },
  }),
  route({
    method: 'get',
    path: '/pack/hand',
    summary: 'Whether the hand of this pack’s learner is up',
    roles: WITH_A_PACK,
    answers: [200],
    handle: ({ caller }) => {
      if (caller.pack === null || learners.isOpen(caller.pack) !== true) throw new HttpProblem('code_wrong');
      return ok(days.handOf(caller.pack));
    },
  }),
];
