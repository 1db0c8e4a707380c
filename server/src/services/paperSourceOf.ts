import { paperSource, type PaperSource } from '@lanakit/core/papers';
import { isOffShelf, revisionsOfRun, type Run } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { inForceOf } from './runInForce.ts';
import { designsOf, shelfOf } from './runSources.ts';

/** What the papers of a run, and its day, are made from. */
export function paperSourceOf(store: Store, run: Run, today: string): PaperSource {
  const { packed, promised } = inForceOf(store, run, today);
  const revisions = revisionsOfRun(packed.input).flatMap((id) => store.patterns.findRevision(id) ?? []);
  return paperSource(packed, {
    runId: run.id,
    designs: designsOf(store, packed.input),
    shelf: shelfOf(store),
    blends: store.shelf.blends(store.shelf.fibres()),
    needles: store.shelf.needles(),
    tools: store.shelf.tools(),
    evidence: store.trays.evidence(),
    promised,
    revisionNumbers: new Map(revisions.map(({ id, number }) => [id, number])),
    isPacked: isOffShelf(run.state),
    dayPlan: run.plan,
  });
}
