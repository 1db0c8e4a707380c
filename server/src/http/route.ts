import type { Static, TSchema } from '@sinclair/typebox';
import type { Asker, Caller } from '../access/caller.ts';
import type { Outcome } from '../services/refusal.ts';

/** The `:name` parts of a path. */
type PathParams<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Readonly<Record<Name, string>> & PathParams<`/${Rest}`>
  : P extends `${string}:${infer Name}`
    ? Readonly<Record<Name, string>>
    : unknown;

/** What a handler is given: everything already checked. */
export interface RouteInput<Params, Body, Query extends string> {
  readonly params: Params;
  readonly query: Readonly<Partial<Record<Query, string | undefined>>>;
  /** Has passed the route's `body` schema; undefined where the route has none. */
  readonly body: Body;
  /** What was uploaded; empty where the route takes no file. */
  readonly bytes: Buffer;
  /** Where what was uploaded lies, on routes that take it as a file; gone when they have answered. */
  readonly file: string;
  /** The version in If-Match; only on routes that say `ifMatch`. */
  readonly version: number;
  /** Aborted where who asked has gone. */
  readonly signal: AbortSignal;
  readonly caller: Caller;
  /** It came over TLS. */
  readonly isSecure: boolean;
}

export interface Reply {
  readonly status: number;
  readonly body?: unknown;
  /** Sent as the ETag. */
  readonly version?: number;
  readonly location?: string;
  readonly file?: FileReply;
  /** Told as it happens, until whoever asked has gone. @returns how to stop */
  readonly events?: (send: (event: unknown) => void) => () => void;
  /** What the browser is to hold from now on, to be known again; null: nothing any more. */
  readonly tokens?: Partial<Caller['tokens']>;
}

/** A file instead of a body: held, or lying where it is gone when it is sent. */
export type FileReply = FileFacts & ({ readonly bytes: Buffer } | { readonly path: string });

interface FileFacts {
  readonly mime: string;
  /** Offered under this name, and not shown. */
  readonly name?: string;
  /** Never another under the same address. */
  readonly isForever?: true;
}

/** What the application and the OpenAPI document are made from. */
interface RouteFacts<Path extends string, Query extends string> {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** With `:name` parameters, below `/api`. */
  readonly path: Path;
  readonly summary: string;
  /** Whom it answers; nobody else. */
  readonly roles: readonly Asker[];
  /** Where the usual 1 MB is not enough. */
  readonly largestBody?: '8mb' | '16mb';
  /** Its body is a list without end: of what is wrong with a long one only the first is told. */
  readonly isLongList?: true;
  readonly query?: readonly Query[];
  /** Takes a file as it is instead of JSON: at most so much of it; `file`: more than can be held. */
  readonly upload?: '16mb' | '64mb' | 'file';
  /** What it writes is written elsewhere, and waited for. */
  readonly isApart?: true;
  /** Nothing of it is kept: no line in the log of writes. */
  readonly isPassing?: true;
  /** Must say which version it changes. */
  readonly ifMatch?: true;
  /** Tells as it happens, without an end: server-sent events. */
  readonly isWatched?: true;
  readonly answers: readonly number[];
}

/** One operation, whatever its body. */
export interface Route extends RouteFacts<string, string> {
  readonly body?: TSchema;
  readonly handle: (
    input: RouteInput<Readonly<Record<string, string>>, unknown, string>,
  ) => Outcome<Reply> | Promise<Outcome<Reply>>;
}

/** A route whose handler is typed by its path, its query and its body's schema. */
export function route<
  Path extends string,
  Query extends string = never,
  Body extends TSchema | undefined = undefined,
>(
  definition: RouteFacts<Path, Query> & {
    readonly body?: Body;
    readonly handle: (
      input: RouteInput<PathParams<Path>, Body extends TSchema ? Static<Body> : undefined, Query>,
    ) => Outcome<Reply> | Promise<Outcome<Reply>>;
  },
): Route {
  // Body, path and query have passed the schema, the path and the list they are typed by before the handler is called.
  return definition as unknown as Route;
}
