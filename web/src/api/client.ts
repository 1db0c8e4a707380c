import { takeEarly } from './askedEarly.ts';
import { askWhoComes } from './whoComes.ts';
import { apiPath } from './studio.ts';
import type { Problem } from '@lanakit/core/problems';

/** One wrong place in what was sent, with the server's words for it. */
type ServerError = Problem & { readonly message: string };

/** The body of `application/problem+json`. */
export interface ProblemBody {
  readonly code: string;
  readonly status: number;
  readonly title: string;
  readonly errors?: readonly ServerError[];
  readonly [fact: string]: unknown;
}

/** The server answered with a problem. */
export class ApiProblem extends Error {
  readonly problem: ProblemBody;
  constructor(problem: ProblemBody) {
    super(problem.title);
    this.problem = problem;
  }
}

/** The server could not be reached; what was to be sent is still with the caller. */
export class Unreachable extends Error {
  constructor() {
    super('Lanakit cannot be reached. Is it still running?');
  }
}

/** It is reached, and does not answer before it knows who is there: what was to be sent is still with the caller as well. */
class NotKnownYet extends Unreachable {
  constructor() {
    super();
    this.message = 'Say the passphrase of this studio first. What you wrote is kept here.';
  }
}

/** What went wrong, for a person: the server’s own words, or what happened on the way to it. */
export const errorWords = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

interface SendOptions {
  readonly body?: unknown;
  readonly version?: number;
  /** Of this one thing: sent again it is done once. */
  readonly key?: string;
  /** Lets the request outlive the page. */
  readonly keepalive?: boolean;
}

/** No page elsewhere may send it. */
const OURS = { 'X-Lanakit': '1' } as const;

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** @throws ApiProblem when the server refuses, Unreachable when it does not answer */
export async function send<T>(method: Method, path: string, options: SendOptions = {}): Promise<T> {
  const response = await reach(apiPath(path), {
    method,
    keepalive: options.keepalive ?? false,
    headers: {
      ...(method !== 'GET' && OURS),
      ...(options.body !== undefined && { 'Content-Type': 'application/json' }),
      ...(options.version !== undefined && { 'If-Match': `"${options.version}"` }),
      ...(options.key !== undefined && { 'Idempotency-Key': options.key }),
    },
    ...(options.body !== undefined && { body: JSON.stringify(options.body) }),
  });
  return answered<T>(response);
}

/** Sends something and takes a file for it. @throws as `send` */
export async function fileFor(path: string, body: unknown): Promise<Blob> {
  const response = await reach(apiPath(path), {
    method: 'POST',
    headers: { ...OURS, 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  return response.ok ? response.blob() : answered<Blob>(response);
}

/** Sends a file as it is. @throws as `send` */
export const sendFile = async <T>(path: string, file: Blob): Promise<T> =>
  answered<T>(
    await reach(apiPath(path), {
      method: 'POST',
      headers: { ...OURS, 'Content-Type': 'application/octet-stream' },
      body: file,
    }),
  );

async function answered<T>(response: Response): Promise<T> {
  if (response.status === 204) return undefined as T;
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body as T;
  if (isProblem(body)) {
    if (body.code === 'not_logged_in') {
      askWhoComes();
      throw new NotKnownYet();
    }
    throw new ApiProblem(body);
  }
  const title = `Lanakit could not do it (${response.status}). Try it again.`;
  throw new ApiProblem({ code: 'internal', status: response.status, title });
}

/** Something between the page and Lanakit may answer in its place, in words of its own or in none. */
const isProblem = (body: unknown): body is ProblemBody =>
  typeof body === 'object' && body !== null && 'title' in body && typeof body.title === 'string';

async function reach(path: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(path, init);
  } catch {
    throw new Unreachable();
  }
}

/** SWR's one fetcher. */
export const get = <T>(path: string): Promise<T> => takeEarly<T>(path) ?? send<T>('GET', path);
