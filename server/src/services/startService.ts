import type { FirstClassMade, ShelfStarted } from '@lanakit/core/api';
import {
  checkFirstClass,
  type FirstClassInput,
  firstPattern,
  firstRun,
  newWools,
  type ShelfStartInput,
  startWool,
  thingOfPick,
  woolSources,
} from '@lanakit/core/starts';
import type { Fibre } from '@lanakit/core/shelf';
import type { ItemKind } from '../db/index.ts';
import type { ServiceDeps } from './deps.ts';
import type { ItemService } from './itemService.ts';
import { ITEM_KINDS } from './itemKinds.ts';
import type { PatternService } from './patternService.ts';
import { answering, assertSound, isRefusal, type Outcome } from './refusal.ts';
import type { RunService } from './runService.ts';

export type StartService = ReturnType<typeof startService>;

interface Others {
  readonly items: Readonly<Record<ItemKind, ItemService>>;
  readonly patterns: PatternService;
  readonly runs: RunService;
}

/** What came out of another service, or its refusal as it is. */
function must<T>(outcome: Outcome<T>): T {
  if (isRefusal(outcome)) throw outcome;
  return outcome;
}

/** From an empty studio to a shelf, and to packs, each in one go: all of it or nothing. */
export function startService({ store }: ServiceDeps, { items, patterns, runs }: Others) {
  const fibres = () => ITEM_KINDS.fibre.all(store) as unknown as readonly Fibre[];
  return answering({
    shelf: ({ picks }: ShelfStartInput): ShelfStarted =>
      store.together(() => ({
        ids: picks.flatMap((pick) => {
          const thing = thingOfPick(pick);
          return thing ? [must(items[thing.kind].put(thing.input, pick.onHand)).id] : [];
        }),
      })),
    /** Wool that is not there yet, the pattern, and where somebody comes its first revision and the class. */
    firstClass: (input: FirstClassInput): FirstClassMade =>
      store.together(() => {
        const there = fibres();
        assertSound(checkFirstClass(input, (id) => there.some((fibre) => fibre.id === id)));
        const sources = woolSources(input, there);
        const ids = new Map(
          newWools(sources).map(({ key, input: wool }) => [key, must(items.fibre.put(wool)).id]),
        );
        const wool = startWool(sources, (key) => ids.get(key) ?? '');
        const { id: patternId, version } = must(patterns.begin(firstPattern(input, wool)));
        if (input.class === null) return { patternId, revisionId: null, runId: null };
        const { id: revisionId } = must(patterns.publish(patternId, version, 'the first'));
        const { id: runId } = must(runs.plan(firstRun(input.title, input.class, revisionId)));
        return { patternId, revisionId, runId };
      }),
  });
}
