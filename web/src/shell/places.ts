import type { Role } from '@lanakit/core/api';

interface Place {
  readonly to: string;
  readonly name: string;
}

const OWNERS: readonly Place[] = [
  { to: '/', name: 'Bench' },
  { to: '/patterns', name: 'Patterns' },
  { to: '/shelf', name: 'Shelf' },
  { to: '/runs', name: 'Runs' },
  { to: '/buying', name: 'Buying' },
  { to: '/logbook', name: 'Logbook' },
];
const HELPERS: readonly Place[] = [
  { to: '/runs', name: 'Runs' },
  { to: '/count', name: 'Count' },
];

/** Places of the top bar. */
export const placesOf = (role: Role): readonly Place[] => (role === 'owner' ? OWNERS : HELPERS);

/** What a helper’s device works at; the server holds to the same, whatever is opened here. */
const FOR_HELPERS =
  /^\/(?:runs(?:\/[^/]+(?:\/(?:weigh-out|packing|class|tray|needles|pattern|guide|papers\/(?:packs|labels|contents|room|preparation|weigh-out|risks)))?)?|count)\/?$/;

export const isPlaceFor = (role: Role, path: string): boolean =>
  role === 'owner' || (role === 'helper' && FOR_HELPERS.test(path));
