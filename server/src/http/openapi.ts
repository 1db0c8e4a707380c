import { HTTP_PROBLEMS } from './problems.ts';
import type { Route } from './route.ts';
import { KEY_HEADER } from './writing.ts';

const PROBLEM_SCHEMA = {
  type: 'object',
  required: ['type', 'code', 'status', 'title'],
  properties: {
    type: { type: 'string' },
    code: { enum: Object.keys(HTTP_PROBLEMS) },
    status: { type: 'integer' },
    title: { type: 'string' },
    errors: {
      type: 'array',
      items: {
        type: 'object',
        required: ['code', 'pointer', 'message'],
        properties: { code: { type: 'string' }, pointer: { type: 'string' }, message: { type: 'string' } },
      },
    },
  },
};

const IF_MATCH = {
  name: 'If-Match',
  in: 'header',
  required: true,
  description: 'The version being changed, as its ETag: "3"',
  schema: { type: 'string' },
};

const KEY = {
  name: KEY_HEADER,
  in: 'header',
  required: false,
  description:
    'A name made for this one thing: sent again with the same content it is done once, and answered as it was. Kept for two days',
  schema: { type: 'string', minLength: 1, maxLength: 64, pattern: String.raw`^[\w.:-]+$` },
};

/** The OpenAPI 3.1 document of these routes, from the schemas that check them. */
export function openApiDocument(routes: readonly Route[]) {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const route of routes) {
    const path = `/api${route.path.replace(/:(\w+)/g, '{$1}')}`;
    paths[path] = { ...paths[path], [route.method]: operationOf(route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Lanakit', version: '0.6.0', license: { name: 'MIT' } },
    paths,
    security: [{ device: [] }, { pack: [] }],
    components: {
      schemas: { Problem: PROBLEM_SCHEMA },
      securitySchemes: {
        device: { type: 'apiKey', in: 'cookie', name: 'lanakit', description: 'by passphrase or pairing' },
        pack: { type: 'apiKey', in: 'cookie', name: 'lanakit_pack', description: 'by the code of a pack' },
      },
    },
  };
}

function operationOf(route: Route) {
  const names = [...route.path.matchAll(/:(\w+)/g)].map((match) => match[1]);
  const problem = { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } };
  return {
    summary: route.summary,
    'x-roles': route.roles,
    ...(route.roles.includes('anybody') && { security: [] }),
    parameters: [
      ...names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
      ...(route.query ?? []).map((name) => ({ name, in: 'query', schema: { type: 'string' } })),
      ...(route.ifMatch ? [IF_MATCH] : []),
      ...(route.method === 'post' && !route.upload && !route.isApart ? [KEY] : []),
    ],
    ...(route.body && {
      requestBody: { required: true, content: { 'application/json': { schema: route.body } } },
    }),
    ...(route.upload && {
      requestBody: { required: true, content: { 'application/octet-stream': {} } },
    }),
    responses: Object.fromEntries([
      ...route.answers.map((status) => [
        String(status),
        { description: 'Done', ...(route.isWatched && { content: { 'text/event-stream': {} } }) },
      ]),
      ['default', { description: 'A problem', content: problem }],
    ]) as Record<string, unknown>,
  };
}
