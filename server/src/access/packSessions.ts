import { hashOf, newToken } from './tokens.ts';

/** One pack of a class. */
export interface PackPlace {
  readonly runId: string;
  /** Of its seat, from 1. */
  readonly number: number;
}

/** A phone asks again by the code it keeps. */
const IDLE_MS = 12 * 3_600_000;
const MOST_SESSIONS = 1000;

/** Phones that opened their pack’s pattern by its code; whether it still may be open is asked each time. Times in ms. */
export function packSessions() {
  const byKey = new Map<string, { readonly place: PackPlace; readonly seenAt: number }>();
  return {
    begin(place: PackPlace, now: number): string {
      for (const [key, { seenAt }] of byKey) if (now - seenAt > IDLE_MS) byKey.delete(key);
      const [oldest] = byKey.keys();
      if (byKey.size >= MOST_SESSIONS && oldest !== undefined) byKey.delete(oldest);
      const token = newToken();
      byKey.set(hashOf(token), { place, seenAt: now });
      return token;
    },
    seen(token: string, now: number): PackPlace | null {
      const key = hashOf(token);
      const session = byKey.get(key);
      if (!session || now - session.seenAt > IDLE_MS) return null;
      byKey.set(key, { ...session, seenAt: now });
      return session.place;
    },
    end: (token: string): void => void byKey.delete(hashOf(token)),
  };
}
