import type { HistoryEntry, HistoryState, KeptKind } from '@lanakit/core/api';
import { type Pattern, type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import { type RunInput, runOfToday } from '@lanakit/core/run';
import type { ItemKind } from '../db/index.ts';
import type { ServiceDeps } from './deps.ts';
import type { ItemService } from './itemService.ts';
import type { PatternService } from './patternService.ts';
import { answering, foundOr, isRefusal, type Outcome } from './refusal.ts';
import type { RunService } from './runService.ts';

export type HistoryService = ReturnType<typeof historyService>;

interface Savers {
  readonly patterns: PatternService;
  readonly runs: RunService;
  readonly items: Readonly<Record<ItemKind, ItemService>>;
}

/** What things were before, and the way back: a state of before is saved as any other change is, with the same checks. */
export function historyService({ store }: ServiceDeps, { patterns, runs, items }: Savers) {
  const nowOf = (kind: KeptKind, id: string): HistoryState => {
    if (kind === 'pattern') {
      const { document, version } = foundOr(store.patterns.find(id));
      return { name: document.title, version, document };
    }
    if (kind === 'run') {
      const { id: _id, version, state: _state, ...input } = foundOr(store.runs.find(id));
      return { name: input.name, version, document: input };
    }
    const { kind: itemKind, name } = foundOr(store.items.kindOf(id));
    const { id: _id, version, ...input } = foundOr(store.items.find<object>(itemKind, id));
    return { name, version, document: input };
  };
  const saved = (
    kind: KeptKind,
    id: string,
    version: number,
    document: unknown,
  ): Outcome<{ version: number }> => {
    switch (kind) {
      case 'pattern':
        return patterns.save(id, version, ofToday(kind, document) as Pattern);
      case 'run':
        return runs.save(id, version, ofToday(kind, document) as RunInput);
      case 'item':
        return items[foundOr(store.items.kindOf(id)).kind].save({ id, version, input: document });
    }
  };
  return answering({
    now: nowOf,
    all: (kind: KeptKind, id: string): HistoryEntry[] => store.history.all(kind, id),
    read: (kind: KeptKind, id: string, entryId: number): unknown =>
      ofToday(kind, foundOr(store.history.document(kind, id, entryId))),
    /** Makes it again what it was. */
    goBack(kind: KeptKind, id: string, entryId: number, version: number): { readonly version: number } {
      const outcome = saved(kind, id, version, foundOr(store.history.document(kind, id, entryId)));
      if (isRefusal(outcome)) throw outcome;
      return { version: outcome.version };
    },
  });
}

/** What was kept in an older form, in the form of today. */
function ofToday(kind: KeptKind, document: unknown): unknown {
  if (kind === 'pattern') return upgradePattern(document as PatternOfAnyFormat);
  return kind === 'run' ? runOfToday(document as Partial<RunInput>) : document;
}
