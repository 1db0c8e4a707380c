import { send, sendFile } from '../client.ts';
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

const sendOne = <T>({ method, path, body, file, version }: Mutation<T>): Promise<T> =>
  file
    ? sendFile<T>(path, file)
    : send<T>(method, path, {
        ...(body !== undefined && { body }),
        ...(version !== undefined && { version }),
      });
