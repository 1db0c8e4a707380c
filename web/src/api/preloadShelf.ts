import { askEarly } from './askedEarly.ts';
import { send } from './client.ts';

/** Nearly every page weighs wool: what it asks of the shelf is on its way while the page itself is still being fetched. */
export function preloadShelf(): void {
  // A learner’s phone asks for its pack and for nothing else.
  if (window.location.pathname.startsWith('/pack')) return;
  for (const path of ['/fibres', '/blends', '/findings', '/hand-measures'])
    askEarly(path, (early) => send('GET', early));
}
