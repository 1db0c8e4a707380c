import { hostname, networkInterfaces } from 'node:os';

/** Whatever of 127.0.0.0/8, not its first alone: only this machine reaches it. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127(?:\.\d{1,3}){3}$/.test(host);

const ANY_ADDRESS = new Set(['0.0.0.0', '::', '']);
const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** An address as it stands in a URL. */
const inUrl = (address: string): string => (address.includes(':') ? `[${address}]` : address).toLowerCase();

/** What this machine is called on its network, and at which addresses it is. */
const ofThisMachine = (): string[] => [
  hostname().toLowerCase(),
  `${hostname().toLowerCase()}.local`,
  ...Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => inUrl(address))),
];

/**
 * The names a studio answers to, and no others: a page elsewhere that points its own name at this machine (DNS rebinding) gets
 * nothing, on loopback and on a network.
 * @param host the address it is bound to
 * @param more names its owner gives it
 */
export const hostNames = (host: string, more: readonly string[] = []): ReadonlySet<string> =>
  new Set([
    ...LOOPBACK_NAMES,
    ...(ANY_ADDRESS.has(host) ? ofThisMachine() : [inUrl(host)]),
    ...more.map((name) => name.trim().toLowerCase()).filter((name) => name !== ''),
  ]);
