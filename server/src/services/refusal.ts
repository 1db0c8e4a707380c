import type { ItemUse, KeptKind } from '@lanakit/core/api';
import type { Problem } from '@lanakit/core/problems';

/** What somebody was too late with: of what, and made from which version. */
export interface LostOf {
  readonly kind: KeptKind;
  readonly id: string;
  readonly version: number;
}

/** Why something was not done, as data: HTTP gives it a status, `problemWords` its words. */
export type RefusalReason =
  | { readonly code: 'not_found' }
  | { readonly code: 'content_invalid' | 'pattern_incomplete'; readonly problems: readonly Problem[] }
  /** What was sent, and what stands there now. */
  | {
      readonly code: 'version_conflict';
      readonly yours: unknown;
      readonly theirs: unknown;
      readonly id?: string;
      /** What it is of, where what was sent is kept in its history. */
      readonly of?: LostOf;
    }
  | { readonly code: 'revision_unchanged'; readonly number: number }
  | { readonly code: 'in_use'; readonly uses: readonly ItemUse[] }
  | { readonly code: 'import_built_on'; readonly name: string | undefined }
  | { readonly code: 'import_undone' }
  | { readonly code: 'tray_empty' }
  | { readonly code: 'tray_closed' }
  | { readonly code: 'file_not_read'; readonly reason?: string; readonly problems?: readonly Problem[] }
  /** A studio as open files. @property file of the ZIP; empty: the ZIP itself */
  | {
      readonly code: 'studio_not_read';
      readonly file: string;
      readonly reason: string;
      readonly problems?: readonly Problem[];
    }
  | { readonly code: 'text_too_long'; readonly mostSteps: number; readonly longestStep: number }
  | { readonly code: 'drawing_too_large'; readonly mostBytes: number; readonly mostTags: number }
  | { readonly code: 'backup_damaged' | 'backup_not_made'; readonly reason: string }
  | { readonly code: 'backup_newer'; readonly found: number; readonly known: number }
  | { readonly code: 'run_has_left'; readonly state: string }
  /** A piece of the shelf that was to be cut, or to be taken back, is cut up by now. */
  | { readonly code: 'offcut_gone' }
  /** What is to be cut from has not come. */
  | { readonly code: 'not_bought_yet' }
  /** An order that is further, or not so far. */
  | { readonly code: 'order_stage'; readonly stage: string }
  /** It was given up; nothing of it was kept. */
  | { readonly code: 'took_too_long'; readonly limitSeconds: number }
  /** As many wait already as may. */
  | { readonly code: 'too_busy' }
  /** A key that has made something else, or the same of something else. */
  | { readonly code: 'key_used' }
  | { readonly code: 'file_newer'; readonly version: number; readonly newest: number }
  | { readonly code: 'archive_unsafe'; readonly reason: string }
  | { readonly code: 'picture_not_read' }
  | { readonly code: 'picture_too_large'; readonly width: number; readonly height: number }
  | { readonly code: 'drawing_unsafe' }
  | { readonly code: 'query_invalid'; readonly field: string; readonly min?: number; readonly max?: number };

export type RefusalCode = RefusalReason['code'];

/**
 * A refusal. Within a service it is thrown, so that what was begun in a transaction is undone; out of a service it is
 * always a value (`answering`).
 */
export class Refusal extends Error {
  readonly reason: RefusalReason;

  constructor(reason: RefusalReason) {
    super(reason.code);
    this.reason = reason;
  }
}

/** What was asked for, or why not. */
export type Outcome<T> = T | Refusal;

export const isRefusal = (value: unknown): value is Refusal => value instanceof Refusal;

/** Goes on where nothing is wrong. @throws Refusal content_invalid */
export function assertSound(problems: readonly Problem[]): void {
  if (problems.length > 0) throw new Refusal({ code: 'content_invalid', problems });
}

/** What is there. @throws Refusal not_found */
export function foundOr<T>(value: T | null | undefined): T {
  if (value === null || value === undefined) throw new Refusal({ code: 'not_found' });
  return value;
}

// Methods take what they take; only what comes back is changed.
// oxlint-disable-next-line typescript/no-explicit-any
type Methods = Record<string, (...given: any[]) => unknown>;

type Answering<M extends Methods> = {
  readonly [K in keyof M]: (
    ...given: Parameters<M[K]>
  ) => ReturnType<M[K]> extends Promise<infer T> ? Promise<Outcome<T>> : Outcome<ReturnType<M[K]>>;
};

/** A service: the same methods, with refusals as values. Everything else that is thrown stays thrown. */
export function answering<M extends Methods>(methods: M): Answering<M> {
  const asValue = (error: unknown): Refusal => {
    if (isRefusal(error)) return error;
    throw error;
  };
  const wrapped = Object.entries(methods).map(([name, method]) => [
    name,
    (...given: unknown[]): unknown => {
      try {
        const value = method(...given);
        return value instanceof Promise ? value.catch(asValue) : value;
      } catch (error) {
        return asValue(error);
      }
    },
  ]);
  return Object.fromEntries(wrapped) as Answering<M>;
}
