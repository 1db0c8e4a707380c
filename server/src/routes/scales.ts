import { oneOf, strict } from '@lanakit/core/base';
import { SCALE_COMMANDS, type ScaleAct } from '@lanakit/core/scale';
import { Type } from '@sinclair/typebox';
import { AT_THE_TABLE } from '../access/caller.ts';
import { listed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { ScaleHub } from '../devices/scaleHub.ts';
import { Refusal } from '../services/refusal.ts';

const Mass = Type.Number({ minimum: 0, maximum: 10_000, description: 'grams' });
const Act = Type.Union([
  Type.Object({ act: Type.Literal('put'), massG: Mass }, strict),
  Type.Object({ act: Type.Literal('take'), massG: Mass }, strict),
  Type.Object({ act: oneOf(['clear', 'tare', 'zero', 'nudge', 'unplug', 'plug'] as const) }, strict),
  Type.Object({ act: Type.Literal('battery'), isLow: Type.Boolean() }, strict),
]);

const notFound = () => new Refusal({ code: 'not_found' });

/** Scales: what they show as it changes, and what may be said to them. Nothing of it is kept. */
export const scaleRoutes = (scales: ScaleHub): Route[] => [
  route({
    method: 'get',
    path: '/scales',
    summary: 'Scales that can be weighed with',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: () => listed(scales.all()),
  }),
  route({
    method: 'post',
    path: '/scales',
    summary: 'Another simulated scale',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: Type.Object({ name: Type.String({ minLength: 1, maxLength: 60 }) }, strict),
    answers: [201],
    handle: ({ body }) => {
      const scale = scales.simulate(body.name.trim() || 'Simulated scale');
      return scale ? { status: 201, body: scale } : new Refusal({ code: 'too_busy' });
    },
  }),
  route({
    method: 'delete',
    path: '/scales/:id',
    summary: 'Put a simulated scale away',
    roles: AT_THE_TABLE,
    isPassing: true,
    answers: [204],
    handle: ({ params: { id } }) => (scales.remove(id) ? { status: 204 } : notFound()),
  }),
  route({
    method: 'get',
    path: '/scales/:id/readings',
    summary: 'What it shows, as it changes',
    isWatched: true,
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) =>
      scales.all().some((scale) => scale.id === id)
        ? { status: 200, events: (send) => scales.watch(id, send) ?? (() => undefined) }
        : notFound(),
  }),
  route({
    method: 'post',
    path: '/scales/:id/commands',
    summary: 'Say tare or zero to it',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: Type.Object({ command: oneOf(SCALE_COMMANDS) }, strict),
    answers: [204],
    handle: ({ params: { id }, body }) => (scales.say(id, body.command) ? { status: 204 } : notFound()),
  }),
  route({
    method: 'post',
    path: '/scales/:id/acts',
    summary: 'Do something to a simulated scale: put on, take off, nudge, unplug',
    roles: AT_THE_TABLE,
    isPassing: true,
    body: Act,
    answers: [204],
    handle: ({ params: { id }, body }) => (scales.act(id, body as ScaleAct) ? { status: 204 } : notFound()),
  }),
];
