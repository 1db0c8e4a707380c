import { isRefusal, type Outcome } from '../services/refusal.ts';
import type { FileReply, Reply } from './route.ts';

/** A reply made of what came out; a refusal stays one. */
export const reply = <T>(outcome: Outcome<T>, make: (value: T) => Reply): Outcome<Reply> =>
  isRefusal(outcome) ? outcome : make(outcome);

/** 200 with this body. */
export const ok = (outcome: Outcome<unknown>): Outcome<Reply> =>
  reply(outcome, (body) => ({ status: 200, body }));

/** 200 with these in a list. */
export const listed = (outcome: Outcome<readonly unknown[]>): Outcome<Reply> =>
  reply(outcome, (items) => ({ status: 200, body: { items } }));

interface Versioned {
  readonly version: number;
}

/** 200 with a document and its version as the ETag. */
export const versioned = (outcome: Outcome<Versioned>): Outcome<Reply> =>
  reply(outcome, (body) => ({ status: 200, body, version: body.version }));

/** 201 with what was made, its version, and where it is. */
export const made = (outcome: Outcome<Versioned & { readonly id: string }>, path: string): Outcome<Reply> =>
  reply(outcome, (body) => ({
    status: 201,
    body,
    version: body.version,
    location: `/api${path}/${body.id}`,
  }));

/** 204: done, nothing to show. */
export const gone = (outcome: Outcome<unknown>): Outcome<Reply> => reply(outcome, () => ({ status: 204 }));

/** 200 with a file. */
export const filed = (outcome: Outcome<FileReply>): Outcome<Reply> =>
  reply(outcome, (file) => ({ status: 200, file }));
