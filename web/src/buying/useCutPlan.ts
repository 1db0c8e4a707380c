import type { CuttingThing } from '@lanakit/core/api';
import type { PlannedCut } from '@lanakit/core/buying';
import type { CuttingTerms } from '@lanakit/core/cutting';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { CutApi } from './cut.worker.ts';

export type CutPlanState =
  | { readonly kind: 'working' | 'failed' | 'stopped' }
  | { readonly kind: 'planned'; readonly plan: PlannedCut };

/** A plan for what is to be cut, made in a worker; begun anew when pieces, shelf or terms change. */
export function useCutPlan(
  thing: CuttingThing,
  terms: CuttingTerms,
): { state: CutPlanState; stop: () => void } {
  const asked = JSON.stringify([thing, terms]);
  const [found, setFound] = useState<{ readonly asked: string; readonly state: CutPlanState }>({
    asked,
    state: { kind: 'working' },
  });
  const [running, setRunning] = useState<Worker | null>(null);
  useEffect(() => {
    const [ofThing, ofTerms] = JSON.parse(asked) as [CuttingThing, CuttingTerms];
    if (ofThing.pieces.length === 0) return undefined;
    const worker = new Worker(new URL('./cut.worker.ts', import.meta.url), { type: 'module' });
    const say = (state: CutPlanState) => setFound({ asked, state });
    worker.onerror = () => say({ kind: 'failed' });
    const begin = setTimeout(() => setRunning(worker), 0);
    void wrap<CutApi>(worker)
      .plan(ofThing.finding, ofThing.pieces, ofThing.packs, ofTerms)
      .then((plan) => say({ kind: 'planned', plan }))
      .catch(() => say({ kind: 'failed' }))
      .finally(() => worker.terminate());
    return () => {
      clearTimeout(begin);
      worker.terminate();
    };
  }, [asked]);
  const state: CutPlanState = found.asked === asked ? found.state : { kind: 'working' };
  return {
    state,
    stop: () => {
      running?.terminate();
      setFound({ asked, state: { kind: 'stopped' } });
    },
  };
}
