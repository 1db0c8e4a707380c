import type { TSchema } from '@sinclair/typebox';

/** What a handler is given: everything already checked. */
export interface RouteInput {
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string | undefined>>;
  /** Has passed the route's `body` schema; undefined where the route has none. */
  readonly body: unknown;
  /** What was uploaded; empty where the route takes no file. */
  readonly bytes: Buffer;
  /** The version in If-Match; only on routes that say `ifMatch`. */
  readonly version: number;
}

export interface Reply {
  readonly status: number;
  readonly body?: unknown;
  /** Sent as the ETag. */
  readonly version?: number;
  readonly location?: string;
  /** A file instead of a body. */
  readonly file?: {
    readonly bytes: Buffer;
    readonly mime: string;
    /** Offered under this name, and not shown. */
    readonly name?: string;
    /** Never another under the same address. */
    readonly isForever?: true;
  };
}

/** One operation. The application and the OpenAPI document are both made from these. */
export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** With `:name` parameters, below `/api`. */
  readonly path: string;
  readonly summary: string;
  readonly body?: TSchema;
  /** Where the usual 1 MB is not enough. */
  readonly largestBody?: '32mb';
  readonly query?: readonly string[];
  /** Takes a file as it is instead of JSON: at most so much of it. */
  readonly upload?: '16mb' | '64mb';
  /** Must say which version it changes. */
  readonly ifMatch?: true;
  readonly answers: readonly number[];
  readonly handle: (input: RouteInput) => Reply | Promise<Reply>;
}
