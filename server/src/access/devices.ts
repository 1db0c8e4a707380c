import type { DeviceLine, DeviceRole } from '@lanakit/core/api';
import { hashOf, newToken } from './tokens.ts';

const HOUR_MS = 3_600_000;
/** Without a request for so long it is over: who typed the passphrase has gone home; a tablet may lie in a drawer. */
const IDLE_MS = { passphrase: 8 * HOUR_MS, paired: 60 * 24 * HOUR_MS } as const;
/** And never longer than this. */
const LONGEST_MS = { passphrase: 7 * 24 * HOUR_MS, paired: Infinity } as const;
/** So often the token is another: what somebody saw once opens nothing later. */
const ROTATED_MS = 30 * 60_000;
/** Once the next was used, the one before still opens for so long: requests that were under way. */
const OVERLAP_MS = 60_000;
/** When a device was last here is written down so often. */
const SEEN_MS = 10 * 60_000;
/** Of each way of coming. */
const MOST_DEVICES = 50;

/** Who a device is let in as. */
export interface DeviceFacts {
  readonly name: string;
  readonly role: DeviceRole;
  /** A helper’s that may see who comes. An owner’s sees everything. */
  readonly seesNames: boolean;
  readonly came: DeviceLine['came'];
}

interface Token {
  readonly hashHex: string;
  /** Since when; ms. */
  readonly at: number;
  /** When it is over, once the next was used; null: not yet. */
  readonly endsAt: number | null;
}

/** A device as it is kept. Times in ms. */
export interface Device extends DeviceFacts {
  readonly id: string;
  readonly since: number;
  readonly seenAt: number;
  readonly address: string;
  /** What opens, oldest first. */
  readonly tokens: readonly Token[];
}

export interface DevicesDeps {
  readonly newId: () => string;
  /** Those that were paired before. */
  readonly before: readonly Device[];
  /** Writes down those that are paired: they are known again after a start. */
  readonly keep: (paired: readonly Device[]) => void;
}

/** Devices that are let in: by the passphrase for a while, or paired until they are shut out. Times in ms. */
export function devices({ newId, before, keep }: DevicesDeps) {
  const byId = new Map(before.map((device) => [device.id, device]));
  const write = () => keep([...byId.values()].filter(({ came }) => came === 'paired'));
  const put = (device: Device, isToKeep: boolean): Device => {
    byId.set(device.id, device);
    if (isToKeep && device.came === 'paired') write();
    return device;
  };
  const isOver = ({ came, seenAt, since }: Device, now: number) =>
    now - seenAt > IDLE_MS[came] || now - since > LONGEST_MS[came];
  const sweep = (now: number) => {
    for (const [id, device] of byId) if (isOver(device, now)) byId.delete(id);
  };
  const withToken = (token: string) => {
    const hashHex = hashOf(token);
    for (const device of byId.values()) {
      const found = device.tokens.find((each) => each.hashHex === hashHex);
      if (found) return { device, found };
    }
    return null;
  };
  return {
    /**
     * Lets one in. The longest unseen of those that came by the passphrase gives way: its owner is never kept out.
     * @returns what its browser is to hold; null: as many are paired as may
     */
    admit(facts: DeviceFacts, address: string, now: number): string | null {
      sweep(now);
      const alike = [...byId.values()].filter(({ came }) => came === facts.came);
      if (alike.length >= MOST_DEVICES) {
        if (facts.came === 'paired') return null;
        byId.delete(longestUnseen(alike).id);
      }
      const token = newToken();
      const tokens = [{ hashHex: hashOf(token), at: now, endsAt: null }];
      put({ ...facts, id: newId(), since: now, seenAt: now, address, tokens }, true);
      return token;
    },
    /** @returns null: nobody’s. `next`: the token that takes its place from now on */
    seen(token: string, address: string, now: number): { device: Device; next: string | null } | null {
      const known = withToken(token);
      if (!known || isOver(known.device, now)) return null;
      const { found } = known;
      if (found.endsAt !== null && now > found.endsAt) return null;
      const { tokens, next } = rotated(known.device.tokens, found, now);
      const isChanged = tokens !== known.device.tokens;
      const isLate = now - known.device.seenAt > SEEN_MS;
      const device = put({ ...known.device, tokens, seenAt: now, address }, isChanged || isLate);
      return { device, next };
    },
    /** The device of this token, and nothing else, is let out. */
    end(token: string): void {
      const known = withToken(token);
      if (known && byId.delete(known.device.id)) write();
    },
    /** @returns false: it is not there */
    shutOut(id: string): boolean {
      const isThere = byId.delete(id);
      if (isThere) write();
      return isThere;
    },
    /** Its name, and whether it may see who comes. @returns false: it is not there */
    change(id: string, facts: Pick<DeviceFacts, 'name' | 'seesNames'>): boolean {
      const device = byId.get(id);
      if (device) put({ ...device, ...facts }, true);
      return device !== undefined;
    },
    has: (id: string): boolean => byId.has(id),
    /** The last that were here first. */
    all(now: number): Device[] {
      sweep(now);
      return [...byId.values()].sort((a, b) => b.seenAt - a.seenAt);
    },
  };
}

const longestUnseen = (all: readonly Device[]): Device =>
  all.reduce((oldest, device) => (device.seenAt < oldest.seenAt ? device : oldest));

/**
 * Tokens when one of them was used. A new one is given out after a while, and again where it did not arrive; the one before
 * ends only when the new one was used, so that an answer lost on its way shuts nobody out.
 */
function rotated(
  tokens: readonly Token[],
  used: Token,
  now: number,
): { readonly tokens: readonly Token[]; readonly next: string | null } {
  const newest = tokens[tokens.length - 1] as Token;
  if (used === newest) {
    if (hasOlderOpen(tokens)) return { tokens: ended(tokens, now), next: null };
    if (now - used.at <= ROTATED_MS) return { tokens, next: null };
    return given([used], now);
  }
  // It was given the next one and has not used it: after a while it did not arrive.
  return used.endsAt === null && now - newest.at > OVERLAP_MS ? given([used], now) : { tokens, next: null };
}

const hasOlderOpen = (tokens: readonly Token[]): boolean =>
  tokens.slice(0, -1).some(({ endsAt }) => endsAt === null);

const ended = (tokens: readonly Token[], now: number): readonly Token[] =>
  tokens.map((token, at) =>
    at === tokens.length - 1 || token.endsAt !== null ? token : { ...token, endsAt: now + OVERLAP_MS },
  );

function given(before: readonly Token[], now: number) {
  const next = newToken();
  return { tokens: [...before, { hashHex: hashOf(next), at: now, endsAt: null }], next };
}
