import type { TSchema } from '@sinclair/typebox';

/** What a handler is given: everything already checked. */
export interface RouteInput {
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string | undefined>>;
  /** Has passed the route's `body` schema; undefined where the route has none. */
  readonly body: unknown;
  /** The version in If-Match; only on routes that say `ifMatch`. */
  readonly version: number;
}

export interface Reply {
  readonly status: number;
  readonly body?: unknown;
  /** Sent as the ETag. */
  readonly version?: number;
  readonly location?: string;
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
  /** Must say which version it changes. */
  readonly ifMatch?: true;
  readonly answers: readonly number[];
  readonly handle: (input: RouteInput) => Reply;
}
