import { strict } from '@lanakit/core/base';
import { DEVICE_ROLES } from '@lanakit/core/api';
import { Type } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { ok } from '../http/replies.ts';
import { HttpProblem } from '../http/problems.ts';
import { route, type Route } from '../http/route.ts';
import type { StudioDoor } from '../http/studioDoor.ts';

const Name = Type.String({ minLength: 1, maxLength: 40 });

/** The studio’s network: devices that are let in, and who did what. */
export const networkRoutes = (door: StudioDoor): Route[] => [
  route({
    method: 'get',
    path: '/network',
    summary: 'How the studio stands to its network, and the devices it lets in',
    roles: OWNER,
    answers: [200],
    handle: ({ caller, isSecure }) => ok(door.network(caller, isSecure)),
  }),
  route({
    method: 'post',
    path: '/network/offers',
    summary: 'A code that lets one device in, for ten minutes',
    roles: OWNER,
    isApart: true,
    body: Type.Object(
      {
        name: Name,
        role: Type.Union(DEVICE_ROLES.map((role) => Type.Literal(role))),
        seesNames: Type.Boolean(),
      },
      strict,
    ),
    answers: [201],
    handle: async ({ body, caller, isSecure }) => {
      door.offer(body);
      return { status: 201, body: door.network(caller, isSecure) };
    },
  }),
  route({
    method: 'delete',
    path: '/network/offers',
    summary: 'No code lets anybody in any more',
    roles: OWNER,
    answers: [204],
    handle: () => {
      door.withdrawOffers();
      return { status: 204 };
    },
  }),
  route({
    method: 'put',
    path: '/network/devices/:id',
    summary: 'Name a device, and say whether it may see who comes',
    roles: OWNER,
    body: Type.Object({ name: Name, seesNames: Type.Boolean() }, strict),
    answers: [204],
    handle: ({ params: { id }, body }) => {
      if (body.name.trim() === '') throw new HttpProblem('body_invalid');
      door.change(id, { ...body, name: body.name.trim() });
      return { status: 204 };
    },
  }),
  route({
    method: 'delete',
    path: '/network/devices/:id',
    summary: 'Shut a device out, at once',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id } }) => {
      door.shutOut(id);
      return { status: 204 };
    },
  }),
];
