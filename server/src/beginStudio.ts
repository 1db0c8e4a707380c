import { loadDemo } from '@lanakit/demo';
import { createServices, type WorkDeps } from './services/index.ts';

/**
 * The first start is begun anew until it has gone through: demo and mark are written together or not at all.
 */
export function beginStudio(deps: WorkDeps, isDemo: boolean): void {
  const { store, now } = deps;
  if (store.studio.isBegun()) return;
  store.together(() => {
    if (isDemo) loadDemo((at) => createServices({ ...deps, now: () => at }), now());
    store.studio.begin(isDemo ? 'demo' : 'empty', now().toISOString());
  });
}
