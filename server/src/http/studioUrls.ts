import { hostNames } from './hostNames.ts';

const LOOPBACK = /^(?:localhost|127\.|\[::1\])/;
/** An address of a network at home before names and what else there is: it works on every phone. */
const rank = (name: string): number =>
  /^\d+\.\d+\.\d+\.\d+$/.test(name) ? 0 : name.endsWith('.local') ? 1 : name.startsWith('[') ? 3 : 2;

/**
 * Where other devices of the network find the studio, best first.
 * @param names its owner gave: they come before all others
 */
export const studioUrls = (
  { host, port, names }: { readonly host: string; readonly port: number; readonly names: readonly string[] },
  isSecure: boolean,
): string[] =>
  [
    ...names.map((name) => name.trim().toLowerCase()),
    ...[...hostNames(host)].filter((name) => !LOOPBACK.test(name)).sort((a, b) => rank(a) - rank(b)),
  ].map((name) => `${isSecure ? 'https' : 'http'}://${name}:${port}`);
