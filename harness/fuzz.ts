import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { generateValue, type Schema } from './generateValue.ts';
import { Chance } from './random.ts';
import type { Report } from './report.ts';
import { type Answer, type Asked, REST_MS, Studio } from './studio.ts';

interface Operation {
  readonly method: string;
  readonly path: string;
  readonly parameters: readonly { readonly name: string; readonly in: string }[];
  readonly body: Schema | null;
  readonly isUpload: boolean;
}

/** Asked at once. */
const AT_ONCE = 8;
/** Statuses over 499 that tell of the machine, not of a fault here. */
const MACHINES_OWN = [503, 507];
/** After so many it is told how it goes. */
const TOLD_EVERY = 5000;
/** What is loaded for the first of each is no growth: it is looked at after this share, and at the end. */
const WARMED_UP = 0.3;
/** What answering so much may leave behind, both times at rest. */
const MOST_GROWN_MB = 150;
/** What is resident at most while it is asked, its threads at work among it. */
const MOST_RESIDENT_MB = 700;

/** Asks every operation of the OpenAPI document for anything: never a fault of the server’s own, a hang, or a stack. */
export async function fuzz(count: number, seed: number): Promise<Report> {
  const dataDir = mkdtempSync(join(tmpdir(), 'lanakit-fuzz-'));
  const first = await Studio.started(dataDir, true);
  await first.stop();
  const studio = await Studio.started(dataDir);
  const chance = new Chance(seed);
  const faults: string[] = [];
  const note = (fault: string) => {
    faults.push(fault);
    console.error(fault.slice(0, 300));
  };
  try {
    const operations = await operationsOf(studio);
    const ids = await knownIds(studio);
    const statuses = new Map<number, number>();
    let slowestMs = 0;
    let left = 0;
    let asked = 0;
    const askSome = async () => {
      while (left-- > 0) {
        // So that one that is ended has told something.
        if (++asked % TOLD_EVERY === 0)
          console.error(`${asked} asked, ${faults.length} faults, ${Math.round(studio.residentMb())} MB`);
        const request = drawRequest(chance, operations, ids);
        const answer = await studio.ask(request).catch((error: unknown) => String(error));
        if (typeof answer === 'string') note(`${request.method} ${request.path}: ${answer}`);
        else {
          statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
          slowestMs = Math.max(slowestMs, answer.ms);
          const fault = faultIn(answer);
          if (fault) note(`${request.method} ${request.path} ${shown(request.body)}: ${fault}`);
        }
      }
    };
    const askMany = async (many: number) => {
      left = many;
      await Promise.all(Array.from({ length: AT_ONCE }, askSome));
      // A short one is for what breaks at once, and is not waited for.
      return studio.residentAtRestMb(Math.min(REST_MS, count));
    };
    const warmedUp = Math.round(count * WARMED_UP);
    const startedMb = await askMany(warmedUp);
    const endedMb = await askMany(count - warmedUp);
    const grownMb = endedMb - startedMb;
    if (grownMb > MOST_GROWN_MB) faults.push(`it grew by ${Math.round(grownMb)} MB`);
    const peakMb = studio.peakMb();
    if (peakMb > MOST_RESIDENT_MB) faults.push(`${Math.round(peakMb)} MB were resident`);
    if ((await studio.get('/health')).status !== 200) faults.push('it is no longer up');
    return {
      name: 'fuzz',
      figures: {
        requests: count,
        operations: operations.length,
        ...Object.fromEntries(
          [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => [`${status}:`, times]),
        ),
        'slowest ms': Math.round(slowestMs),
        'MB at rest, first': Math.round(startedMb),
        'MB at rest, at the end': Math.round(endedMb),
        'MB at most': Math.round(peakMb),
        seed,
      },
      faults,
    };
  } finally {
    await studio.kill();
    rmSync(dataDir, { recursive: true, force: true });
  }
}

const shown = (body: Asked['body']): string =>
  typeof body === 'string' ? body.slice(0, 400) : body === undefined ? '' : `${body.length} bytes`;

function faultIn({ status, body }: Answer): string | null {
  if (status >= 500 && !MACHINES_OWN.includes(status))
    return `${status} ${JSON.stringify(body).slice(0, 200)}`;
  if (status < 400) return null;
  const { code, title } = (body ?? {}) as { code?: unknown; title?: unknown };
  if (typeof code !== 'string' || typeof title !== 'string') return `${status} without a problem`;
  return /\n\s+at /.test(JSON.stringify(body)) ? `${status} with a stack` : null;
}

async function operationsOf(studio: Studio): Promise<Operation[]> {
  const document = (await studio.get('/openapi.json')).body as {
    paths: Record<
      string,
      Record<
        string,
        {
          parameters: Operation['parameters'];
          responses: Record<string, { content?: Record<string, unknown> }>;
          requestBody?: { content: Record<string, { schema?: Schema }> };
        }
      >
    >;
  };
  return Object.entries(document.paths).flatMap(([path, methods]) =>
    // What is told as it happens has no end to wait for.
    Object.entries(methods)
      .filter(([, { responses }]) => !responses['200']?.content?.['text/event-stream'])
      .map(([method, { parameters, requestBody }]): Operation => ({
        method: method.toUpperCase(),
        path,
        parameters,
        body: requestBody?.content['application/json']?.schema ?? null,
        isUpload: requestBody?.content['application/octet-stream'] !== undefined,
      })),
  );
}

/** Ids of things that are there, by where they are, and documents to begin from. */
interface Known {
  readonly byPlace: ReadonlyMap<string, readonly string[]>;
  readonly ids: readonly string[];
  readonly documents: ReadonlyMap<string, readonly object[]>;
}

const PLACES = [
  '/patterns',
  '/fibres',
  '/blends',
  '/findings',
  '/needles',
  '/tools',
  '/suppliers',
  '/runs',
  '/techniques',
  '/revisions',
];

async function knownIds(studio: Studio): Promise<Known> {
  const byPlace = new Map<string, string[]>();
  const documents = new Map<string, object[]>();
  for (const place of PLACES) {
    const { items } = (await studio.get(place)).body as { items: { id: string; document?: object }[] };
    byPlace.set(
      `/api${place}`,
      items.map(({ id }) => id),
    );
    documents.set(
      `/api${place}`,
      items.map(({ id: _id, document, ...rest }) => document ?? rest),
    );
  }
  return { byPlace, documents, ids: [...byPlace.values()].flat() };
}

/** Where an operation is at home: `/api/patterns`. */
const placeOf = ({ path }: Operation): string => path.split('/').slice(0, 3).join('/');

const JUNK_IDS = [
  '',
  'x',
  '%00',
  '..',
  '%2e%2e',
  'null',
  '💚',
  'a'.repeat(300),
  "' OR 1=1 --",
  '__proto__',
  'constructor',
  '%E0%A4%A',
];
const VERSIONS = ['"1"', '"2"', '"3"', '3', 'W/"1"', '"-1"', '"1e9"', '"99999999999999999999"', '*', ''];
const JUNK_BODIES = [
  '',
  '{',
  '[]',
  'null',
  '0',
  '"x"',
  '{"a":',
  '[[[[[[',
  '{"__proto__":{"x":1}}',
  '\u0000',
  'true',
];
const UPLOADS = [
  '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0h1"/></svg>',
  '<svg',
  '1. Roll it\n2. Felt it',
  'PK\u0003\u0004',
  '{"format":"lanakit-pattern"}',
  '',
  '\u0089PNG',
];

function drawRequest(chance: Chance, operations: readonly Operation[], known: Known): Asked {
  const operation = chance.pick(operations);
  const ofPlace = known.byPlace.get(placeOf(operation)) ?? [];
  const idOf = () => {
    if (chance.is(0.08)) return chance.pick(JUNK_IDS);
    return chance.pick(ofPlace.length > 0 && chance.is(0.9) ? ofPlace : known.ids);
  };
  const path = operation.path.replaceAll(/\{\w+\}/g, () => idOf());
  const query = operation.parameters
    .filter((parameter) => parameter.in === 'query' && chance.is(0.4))
    .map(
      ({ name }) =>
        `${name}=${chance.pick(['1', '-1', '50', '1e99', 'true', 'small', 'a4', '%00', '', 'x'.repeat(100)])}`,
    );
  const headers: Record<string, string> = {};
  if (operation.parameters.some(({ name }) => name === 'If-Match') && chance.is(0.95))
    headers['If-Match'] = chance.pick(VERSIONS);
  if (chance.is(0.1)) headers['Idempotency-Key'] = chance.pick(['k', 'k2', 'not a key', 'x'.repeat(65)]);
  if (chance.is(0.02)) headers['Range'] = 'bytes=9-1';
  const body = bodyOf(chance, operation, known);
  if (body !== undefined)
    headers['Content-Type'] = chance.is(0.97)
      ? operation.isUpload
        ? 'application/octet-stream'
        : 'application/json'
      : 'text/plain';
  const method = chance.is(0.98) ? operation.method : chance.pick(['GET', 'POST', 'PUT', 'DELETE', 'PATCH']);
  return {
    method,
    path: query.length > 0 ? `${path}?${query.join('&')}` : path,
    headers,
    ...(body !== undefined && method !== 'GET' && { body }),
  };
}

function bodyOf(chance: Chance, operation: Operation, { ids, documents }: Known): string | undefined {
  if (operation.method === 'GET' || operation.method === 'DELETE') return undefined;
  if (operation.isUpload)
    return chance.pick(UPLOADS) + (chance.is(0.2) ? ' '.repeat(chance.whole(0, 5000)) : '');
  if (!operation.body) return chance.is(0.5) ? undefined : '{}';
  if (chance.is(0.04)) return chance.pick(JUNK_BODIES);
  // A document that was there, with something in it changed; or one drawn from the schema.
  const there = documents.get(placeOf(operation)) ?? [];
  if (there.length > 0 && chance.is(0.5))
    return JSON.stringify(changed(chance, chance.pick(there), operation.body));
  return JSON.stringify(generateValue(operation.body, chance, ids));
}

const ODD_VALUES: readonly unknown[] = [
  null,
  0,
  -1,
  1e308,
  -0.001,
  '',
  'x',
  '💚',
  [],
  {},
  true,
  1.5,
  '2026-02-31',
  'a'.repeat(5000),
];

/** The same, only what may be sent of it, and half the time with one place in it replaced or taken away. */
function changed(chance: Chance, document: object, schema: Schema): unknown {
  const fields = Object.keys(schema.properties ?? {});
  const copy = structuredClone(
    Object.fromEntries(Object.entries(document).filter(([key]) => fields.includes(key))),
  ) as Record<string, unknown>;
  if (fields.includes('countedNow')) copy['countedNow'] = chance.pick([null, 5]);
  if (chance.is(0.5)) return copy;
  let at: Record<string, unknown> = copy;
  for (let depth = chance.whole(0, 6); depth > 0; depth--) {
    const inner = Object.values(at).filter((value) => typeof value === 'object' && value !== null);
    if (inner.length === 0) break;
    at = chance.pick(inner) as Record<string, unknown>;
  }
  const keys = Object.keys(at);
  if (keys.length === 0) return copy;
  const key = chance.pick(keys);
  if (chance.is(0.2)) delete at[key];
  else at[key] = chance.pick(ODD_VALUES);
  return copy;
}
