import { createHash } from 'node:crypto';
import type { Request } from 'express';
import type { Deed, Store } from '../db/index.ts';
import { isRefusal, type Outcome, Refusal } from '../services/refusal.ts';
import { HttpProblem } from './problems.ts';
import type { Reply } from './route.ts';

export interface WriteDeps {
  readonly store: Store;
  readonly now: () => Date;
}

/** A name a client makes for one thing it wants done once (IETF draft, “The Idempotency-Key HTTP Header Field”). */
export const KEY_HEADER = 'Idempotency-Key';

/**
 * Does a write whole or not at all, with its checks: nobody else writes between the look and the deed. With a key it is done
 * once: sent again it is answered as it was, and another thing under that key is refused.
 */
export function written(
  request: Request,
  { store, now }: WriteDeps,
  deed: Deed | null,
  work: () => Outcome<Reply> | Promise<Outcome<Reply>>,
): Outcome<Reply> {
  const key = keyOf(request);
  const fingerprint = key === null ? '' : fingerprintOf(request);
  try {
    return store.together(() => {
      const before = key === null ? null : store.answeredKeys.find(key);
      if (before && before.fingerprint !== fingerprint) throw new Refusal({ code: 'key_used' });
      if (before) return before.answer;
      const outcome = work();
      if (outcome instanceof Promise) throw new Error('what is written at once cannot be waited for');
      // What a refusal leaves half done is undone with it.
      if (isRefusal(outcome)) throw outcome;
      if (deed) store.writeLog.add(aboutWhat(deed, outcome), now().toISOString());
      if (key !== null) store.answeredKeys.keep(key, fingerprint, kept(outcome), now().toISOString());
      return outcome;
    });
  } catch (error) {
    if (!isRefusal(error)) throw error;
    keepWhatLost(error, { store, now });
    return error;
  }
}

/** What somebody wrote is not gone with the conflict it lost: it lies in the history of what it was meant for. */
function keepWhatLost({ reason }: Refusal, { store, now }: WriteDeps): void {
  if (reason.code !== 'version_conflict' || !reason.of || reason.yours === null) return;
  const { kind, id, version } = reason.of;
  store.history.keepLost(kind, id, version, JSON.stringify(reason.yours), now().toISOString());
}

/** What was only made by it is what it was done to. */
export const aboutWhat = (deed: Deed, { location }: Reply): Deed =>
  deed.thingId === null && location
    ? { ...deed, thingId: location.slice(location.lastIndexOf('/') + 1) }
    : deed;

const kept = ({ status, body, version, location }: Reply) => ({
  status,
  ...(body !== undefined && { body }),
  ...(version !== undefined && { version }),
  ...(location !== undefined && { location }),
});

function keyOf(request: Request): string | null {
  const key = request.get(KEY_HEADER);
  if (key === undefined || request.method !== 'POST') return null;
  if (!/^[\w.:-]{1,64}$/.test(key)) throw new HttpProblem('request_not_read', { header: KEY_HEADER });
  return key;
}

/** Alike only for the same asked of the same. */
const fingerprintOf = (request: Request): string =>
  createHash('sha256')
    .update(
      JSON.stringify([
        request.method,
        request.originalUrl,
        request.get('If-Match') ?? null,
        request.body as unknown,
      ]),
    )
    .digest('hex');
