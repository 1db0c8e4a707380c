import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { filed, gone, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { PersonService } from '../services/personService.ts';

/** Who is named, and how they are given theirs and forgotten. */
export const personRoutes = (persons: PersonService): Route[] => [
  route({
    method: 'get',
    path: '/persons',
    summary:
      'Who is named in classes, those in the bin and how they were before as well; `name` words of a name',
    roles: OWNER,
    query: ['name'],
    answers: [200],
    handle: ({ query }) => ok(persons.find(query.name ?? '')),
  }),
  route({
    method: 'get',
    path: '/persons/file',
    summary: 'What is kept of one person, to hand to them',
    roles: OWNER,
    query: ['name'],
    answers: [200],
    handle: ({ query }) => filed(persons.file(query.name ?? '')),
  }),
  route({
    method: 'post',
    path: '/persons/forgotten',
    summary: 'Forget one person everywhere',
    roles: OWNER,
    body: Type.Object({ name: Type.String({ minLength: 1, maxLength: 60 }) }, strict),
    answers: [200],
    handle: ({ body }) => ok(persons.forget(body.name)),
  }),
  route({
    method: 'put',
    path: '/persons/rule',
    summary: 'After how many days who came to a class is forgotten by itself; null: never',
    roles: OWNER,
    body: Type.Object(
      { afterDays: Type.Union([Type.Integer({ minimum: 0, maximum: 3650 }), Type.Null()]) },
      strict,
    ),
    answers: [204],
    handle: ({ body }) => gone(persons.setRule(body)),
  }),
];
