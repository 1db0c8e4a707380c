import type { DeviceLine, NetworkState, SessionState } from '@lanakit/core/api';
import type { Caller } from '../access/caller.ts';
import { type Device, type DeviceFacts, devices as keptDevices } from '../access/devices.ts';
import { offers as madeOffers } from '../access/offers.ts';
import { type PackPlace, packSessions } from '../access/packSessions.ts';
import { isRight, type OwnerKey } from '../access/passphrase.ts';
import { tries } from '../access/tries.ts';
import { HttpProblem } from './problems.ts';

export interface DoorDeps {
  /** Null: it is on loopback, and asks nobody. */
  readonly owner: OwnerKey | null;
  readonly now?: () => number;
  readonly newId?: () => string;
  /** Devices that were paired before. */
  readonly before?: readonly Device[];
  readonly keep?: (paired: readonly Device[]) => void;
  /** Where other devices find it, once it listens. */
  readonly urls?: () => readonly string[];
  /** Told when somebody tried a wrong passphrase or code; never what they tried. */
  readonly onWrong?: (address: string) => void;
}

export type StudioDoor = ReturnType<typeof studioDoor>;

/** What a browser shows of itself. */
export interface Shown {
  readonly address: string;
  readonly tokens: Caller['tokens'];
}

/**
 * Who is let in, and as whom: the owner by passphrase, devices by pairing, a learner’s phone by the code of its pack. One door
 * for a studio and the demo studio beside it.
 */
export function studioDoor({
  owner,
  now = Date.now,
  newId = () => String(now()),
  before = [],
  keep = () => undefined,
  urls = () => [],
  onWrong = () => undefined,
}: DoorDeps) {
  const devices = keptDevices({ newId, before, keep });
  const packs = packSessions();
  const offers = madeOffers();
  /** Of the passphrase and of pairing; codes of packs are tried apart, so that a class cannot keep its owner out. */
  const tried = { in: tries(), packs: tries() };
  /** Every try is counted before it is looked at: many at once are many. */
  const attempt = async <T>(
    counted: ReturnType<typeof tries>,
    address: string,
    look: () => T | null | Promise<T | null>,
  ): Promise<T | null> => {
    const waitMs = counted.waitMs(address, now());
    if (waitMs > 0) throw new HttpProblem('tries_too_many', { seconds: Math.ceil(waitMs / 1000) });
    counted.wrong(address, now());
    const found = await look();
    if (found === null) onWrong(address);
    else counted.right(address);
    return found;
  };
  const admitted = (facts: DeviceFacts, address: string): string => {
    const token = devices.admit(facts, address, now());
    if (token === null) throw new HttpProblem('devices_too_many');
    return token;
  };
  const wrongTries = () => tried.in.wrongInAll(now()) + tried.packs.wrongInAll(now());
  return {
    isOpened: owner !== null,
    urls,
    /** Who asks, and the token its browser is to hold from now on where that is another. */
    callerOf({ address, tokens }: Shown): { readonly caller: Caller; readonly next: string | null } {
      const known = tokens.device === null ? null : devices.seen(tokens.device, address, now());
      const pack = tokens.pack === null ? null : packs.seen(tokens.pack, now());
      const isHere = owner === null;
      const device = isHere ? null : (known?.device ?? null);
      const role = isHere ? 'owner' : (device?.role ?? (pack ? 'learner' : null));
      const caller: Caller = {
        role,
        name: isHere ? 'this machine' : (device?.name ?? (pack ? `seat ${pack.number}` : address)),
        deviceId: device?.id ?? null,
        deviceName: device?.came === 'paired' ? device.name : null,
        seesNames: role === 'owner' || device?.seesNames === true,
        address,
        pack,
        tokens,
      };
      return { caller, next: known?.next ?? null };
    },
    /** Whether whoever was let in to listen still is. */
    isStillIn: ({ deviceId }: Caller): boolean =>
      owner === null || (deviceId !== null && devices.has(deviceId)),
    session: ({ role, deviceName, seesNames }: Caller): SessionState => ({
      isOpened: owner !== null,
      isKnown: role !== null,
      role,
      deviceName,
      seesNames,
      wrongTries: owner !== null && role === 'owner' ? wrongTries() : null,
    }),
    /** By the passphrase. @returns what the browser is to hold */
    async logIn(passphrase: string, address: string): Promise<string> {
      const isOwner = await attempt(tried.in, address, async () =>
        owner !== null && (await isRight(owner, passphrase)) ? true : null,
      );
      if (isOwner === null) throw new HttpProblem('passphrase_wrong');
      return admitted(
        { name: `Owner at ${address}`, role: 'owner', seesNames: true, came: 'passphrase' },
        address,
      );
    },
    /** By a code that its owner’s screen shows. @returns what the browser is to hold */
    async pair(code: string, address: string): Promise<string> {
      const facts = await attempt(tried.in, address, () => offers.take(code, now()));
      if (facts === null) throw new HttpProblem('code_wrong');
      return admitted({ ...facts, came: 'paired' }, address);
    },
    /** By the code of a pack. @param placeOf of which pack this code is, where it may be open. @returns what the browser is to hold */
    async openPack(address: string, placeOf: () => PackPlace | null): Promise<string> {
      const place = await attempt(tried.packs, address, placeOf);
      if (place === null) throw new HttpProblem('code_wrong');
      return packs.begin(place, now());
    },
    leave({ tokens }: Caller): void {
      if (tokens.device !== null) devices.end(tokens.device);
      if (tokens.pack !== null) packs.end(tokens.pack);
    },
    network: ({ deviceId }: Caller, isSecure: boolean): NetworkState => ({
      isOpened: owner !== null,
      isSecure,
      urls: urls(),
      passphraseSetAt: owner?.setAt ?? null,
      devices: devices.all(now()).map((device) => deviceLine(device, deviceId)),
      offers: offers.all(now()),
      wrongTries: wrongTries(),
    }),
    offer(facts: Pick<DeviceFacts, 'name' | 'role' | 'seesNames'>): void {
      if (owner === null) throw new HttpProblem('not_opened');
      offers.make(facts, now());
    },
    withdrawOffers: offers.withdraw,
    shutOut(id: string): void {
      if (!devices.shutOut(id)) throw new HttpProblem('not_found');
    },
    change(id: string, facts: Pick<DeviceFacts, 'name' | 'seesNames'>): void {
      if (!devices.change(id, facts)) throw new HttpProblem('not_found');
    },
  };
}

const iso = (ms: number): string => new Date(ms).toISOString();

const deviceLine = (
  { id, name, role, seesNames, came, since, seenAt, address }: Device,
  ownId: string | null,
): DeviceLine => ({
  id,
  name,
  role,
  seesNames,
  came,
  since: iso(since),
  seenAt: iso(seenAt),
  address,
  isThis: id === ownId,
});
