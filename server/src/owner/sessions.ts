import { createHash, randomBytes } from 'node:crypto';

/** Without a request for so long it is over. */
const IDLE_MS = 8 * 3_600_000;
/** And never longer than this. */
const LONGEST_MS = 7 * 24 * 3_600_000;
/** So often the token is another: what somebody saw once opens nothing later. */
const ROTATED_MS = 30 * 60_000;
/** The one before still opens for so long: requests that were under way. */
const OVERLAP_MS = 60_000;
const MOST_SESSIONS = 50;

interface Session {
  readonly begunAt: number;
  seenAt: number;
  rotatedAt: number;
  /** When a token that was followed by another is over; null: it is the last. */
  endsAt: number | null;
}

/** Kept as hashes: who reads the memory of a crash finds no token. */
const keyOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const newToken = (): string => randomBytes(32).toString('base64url');

/** Who is logged in. Held in memory alone: a new start asks everybody again. Times in ms. */
export function sessions() {
  const byKey = new Map<string, Session>();
  const isOver = ({ begunAt, seenAt, endsAt }: Session, now: number) =>
    now - seenAt > IDLE_MS || now - begunAt > LONGEST_MS || (endsAt !== null && now > endsAt);
  const sweep = (now: number) => {
    for (const [key, session] of byKey) if (isOver(session, now)) byKey.delete(key);
    while (byKey.size >= MOST_SESSIONS) byKey.delete(byKey.keys().next().value as string);
  };
  const begin = (now: number, begunAt = now): string => {
    sweep(now);
    const token = newToken();
    byKey.set(keyOf(token), { begunAt, seenAt: now, rotatedAt: now, endsAt: null });
    return token;
  };
  return {
    begin,
    /** @returns null: nobody’s. `next`: the token that takes its place from now on */
    seen(token: string, now: number): { readonly next: string | null } | null {
      const session = byKey.get(keyOf(token));
      if (!session || isOver(session, now)) return null;
      session.seenAt = now;
      if (session.endsAt !== null || now - session.rotatedAt <= ROTATED_MS) return { next: null };
      session.endsAt = now + OVERLAP_MS;
      return { next: begin(now, session.begunAt) };
    },
    end: (token: string): void => void byKey.delete(keyOf(token)),
    endAll: (): void => byKey.clear(),
  };
}
