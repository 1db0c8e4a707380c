import { nanoid } from 'nanoid';
import { send, sendFile, Unreachable } from '../client.ts';
import { refresh } from '../refresh.ts';

declare const ANSWER: unique symbol;

/** One write as data: where it goes, with what, and what shows other numbers after it. `T` is what the server answers. */
export interface Mutation<T> {
  readonly method: 'POST' | 'PUT' | 'DELETE';
  /** Below /api. */
  readonly path: string;
  readonly body?: unknown;
  /** A file sent as it is, in place of a body. */
  readonly file?: Blob;
  /** The version it is made from; refused when the server has another. */
  readonly version?: number;
  /** Its body carries a key of its own by which it is done once. */
  readonly hasOwnKey?: true;
  /** Starts of the paths that are asked for again. */
  readonly touches: readonly string[];
  readonly [ANSWER]?: T;
}

/**
 * Sends it, and is over when what it touches is shown anew.
 *
 * @param atOnce what follows from the answer and must not wait for that: a form that empties, a choice that is let go.
 *   After the wait it would take what was typed or chosen meanwhile.
 * @throws ApiProblem when the server refuses, Unreachable when it does not answer
 */
export const perform = <T>(mutation: Mutation<T>, atOnce?: (answer: T) => void): Promise<T> =>
  performAll([mutation], ([answer]) => atOnce?.(answer as T)).then(([answer]) => answer as T);

/** Several, one after the other; the first that is refused ends it. */
export async function performAll<T>(
  mutations: readonly Mutation<T>[],
  atOnce?: (answers: readonly T[]) => void,
): Promise<readonly T[]> {
  const touched = new Set<string>();
  const answers: T[] = [];
  try {
    for (const mutation of mutations) {
      // Also of one that is refused: what is shown is not what the server has.
      for (const prefix of mutation.touches) touched.add(prefix);
      answers.push(await sendOne(mutation));
    }
    atOnce?.(answers);
  } finally {
    if (touched.size > 0) await refresh(...touched);
  }
  return answers;
}

/** What was sent and never answered, with the key it went under. */
const unanswered = new Map<string, string>();

/**
 * Everything that makes something goes under a key. Where no answer came, it may have been done all the same: the same sent
 * again goes under the same key, and is done once.
 */
async function sendOne<T>({ method, path, body, file, version, hasOwnKey }: Mutation<T>): Promise<T> {
  if (file) return sendFile<T>(path, file);
  const subject = JSON.stringify([method, path, body, version]);
  const key = method === 'POST' && !hasOwnKey ? (unanswered.get(subject) ?? nanoid(21)) : undefined;
  if (key !== undefined) unanswered.set(subject, key);
  try {
    const answer = await send<T>(method, path, {
      ...(body !== undefined && { body }),
      ...(version !== undefined && { version }),
      ...(key !== undefined && { key }),
    });
    unanswered.delete(subject);
    return answer;
  } catch (error) {
    if (!(error instanceof Unreachable)) unanswered.delete(subject);
    throw error;
  }
}
