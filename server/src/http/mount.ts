import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import { rmSync } from 'node:fs';
import { arrivalFolder } from '../services/onceFile.ts';
import { formCheck, isBeyondTelling } from '../services/formCheck.ts';
import { isRefusal } from '../services/refusal.ts';
import { arriveInFile, fileOf } from './arriveInFile.ts';
import { callerOf, onlyFor } from './callers.ts';
import { setToken } from './cookies.ts';
import { sendEvents } from './events.ts';
import { redacted } from './redacted.ts';
import { newsOf, type RunNews } from './runNews.ts';
import type { StudioDoor } from './studioDoor.ts';
import { contentProblem, HttpProblem, problemOfRefusal } from './problems.ts';
import type { FileReply, Route } from './route.ts';
import type { Caller } from '../access/caller.ts';
import type { Deed } from '../db/index.ts';
import { aboutWhat, type WriteDeps, written } from './writing.ts';

/** Room for the largest pattern there can be, several times over. */
const LARGEST_BODY = '1mb';
/** A whole studio with some ten thousand pictures. */
const LARGEST_ARRIVAL = 4e9;

interface MountDeps extends WriteDeps {
  readonly dataDir: string;
  readonly door: StudioDoor;
  readonly news: RunNews;
}

/** Mounts every route: form checked, version read, handler called, reply sent. */
export function mountRoutes(app: Express, routes: readonly Route[], deps: MountDeps): void {
  for (const route of routes) {
    const guard = onlyFor(route.roles, deps.door);
    app[route.method](`/api${route.path}`, guard, bodyReader(route, deps), handlerOf(route, deps));
  }
  for (const path of new Set(routes.map((route) => route.path))) {
    app.all(`/api${path}`, () => {
      throw new HttpProblem('method_not_allowed');
    });
  }
}

function bodyReader({ upload, largestBody }: Route, { dataDir }: MountDeps): RequestHandler {
  if (upload === 'file') return arriveInFile(arrivalFolder(dataDir), LARGEST_ARRIVAL);
  if (upload) return express.raw({ type: () => true, limit: upload });
  return express.json({ limit: largestBody ?? LARGEST_BODY, strict: false });
}

function handlerOf(route: Route, deps: MountDeps): RequestHandler {
  const check = route.body ? formCheck(route.body) : null;
  return async (request, response) => {
    if (check) assertJson(request);
    if (check && !route.isLongList && isBeyondTelling(request.body)) throw new HttpProblem('body_too_large');
    const problems = check?.(request.body) ?? [];
    if (problems.length > 0) throw contentProblem('body_invalid', problems);
    const waiting = new AbortController();
    response.on('close', () => {
      if (!response.writableFinished) waiting.abort();
    });
    const caller = callerOf(request);
    const handle = () =>
      route.handle({
        caller,
        isSecure: request.secure,
        params: request.params as Record<string, string>,
        query: readQuery(request, route.query ?? []),
        body: request.body as unknown,
        bytes: Buffer.isBuffer(request.body) ? request.body : NO_BYTES,
        file: fileOf(request),
        version: route.ifMatch ? readVersion(request) : 0,
        signal: waiting.signal,
      });
    // A file is read before anything is written, and not at once.
    const isWrite = route.method !== 'get' && !route.upload && !route.isApart && !route.isPassing;
    const deed = route.method === 'get' || route.isPassing ? null : deedOf(route, caller, request.params);
    const outcome = await unlessGone(waiting.signal, () =>
      isWrite ? written(request, deps, deed, handle) : handle(),
    );
    if (outcome === null) return;
    if (isRefusal(outcome)) throw problemOfRefusal(outcome);
    const reply = outcome;
    // What is written elsewhere is there by now.
    if (deed && !isWrite) deps.store.writeLog.add(aboutWhat(deed, reply), deps.now().toISOString());
    if (isWrite) tellOfRun(deps.news, route, request.params);
    for (const kind of ['device', 'pack'] as const)
      if (reply.tokens?.[kind] !== undefined) setToken(request, response, kind, reply.tokens[kind]);
    if (reply.version !== undefined) response.set('ETag', `"${reply.version}"`);
    if (reply.location !== undefined) response.set('Location', reply.location);
    response.set('Cache-Control', deps.door.isOpened ? ON_A_NETWORK : AT_HOME).status(reply.status);
    if (route.isWatched && reply.events)
      sendEvents(response, reply.events, () => deps.door.isStillIn(caller));
    else if (reply.file) sendFile(response, reply.file);
    else if (reply.body === undefined) response.end();
    else response.json(redacted(reply.body, caller));
  };
}

/** Method and path, as the log of writes has it. */
export const operationOf = ({ method, path }: Pick<Route, 'method' | 'path'>): string =>
  `${method.toUpperCase()} ${path}`;

const deedOf = (route: Route, { role, name }: Caller, params: Request['params']): Deed => ({
  role: role ?? 'nobody',
  device: name,
  operation: operationOf(route),
  thingId: [params['id'], params['itemId']].find((id) => typeof id === 'string') ?? null,
});

/** What comes of the work; null where it was given up because who asked has gone. */
async function unlessGone<T>(signal: AbortSignal, work: () => T | Promise<T>): Promise<T | null> {
  try {
    return await work();
  } catch (error) {
    if (signal.aborted) return null;
    throw error;
  }
}

function tellOfRun(news: RunNews, { path }: Route, { id }: Request['params']): void {
  const what = newsOf(path);
  if (what !== null && typeof id === 'string') news.tell(id, what);
}

const NO_BYTES = Buffer.alloc(0);

/** A browser may keep an answer, but asks each time whether it still holds. */
const AT_HOME = 'no-cache';
/** On a device that may be shut out nothing is kept. */
const ON_A_NETWORK = 'no-store';

/** What was brought in is only ever shown as what it is: no page, no script, nothing sniffed. */
function sendFile(response: Response, file: FileReply): void {
  const { mime, name, isForever } = file;
  response.set({
    'Content-Type': mime,
    'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
    'X-Content-Type-Options': 'nosniff',
    ...(isForever && { 'Cache-Control': 'private, max-age=31536000, immutable' }),
  });
  if (name !== undefined) response.attachment(name);
  if ('bytes' in file) response.end(file.bytes);
  else sendOnce(response, file.path);
}

/** What was written to be sent this once. */
function sendOnce(response: Response, path: string): void {
  response.on('close', () => rmSync(path, { force: true }));
  response.sendFile(path, { dotfiles: 'allow', cacheControl: false, acceptRanges: false });
}

function assertJson(request: Request): void {
  if (!request.is('application/json')) throw new HttpProblem('body_wrong_type');
}

function readQuery(request: Request, known: readonly string[]): Record<string, string | undefined> {
  const strange = Object.keys(request.query).find((name) => !known.includes(name));
  if (strange !== undefined) throw new HttpProblem('query_invalid', { field: strange });
  return Object.fromEntries(
    known.map((name) => [name, typeof request.query[name] === 'string' ? request.query[name] : undefined]),
  );
}

/** Strong tags that are the version itself: `"3"`. */
function readVersion(request: Request): number {
  const header = request.get('If-Match');
  if (header === undefined) throw new HttpProblem('precondition_required');
  const version = Number(/^"(\d+)"$/.exec(header.trim())?.[1]);
  if (!Number.isSafeInteger(version)) throw new HttpProblem('if_match_not_read');
  return version;
}
