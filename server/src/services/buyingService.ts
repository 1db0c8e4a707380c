import type { Buying, BuyingRun, BuyingThing } from '@lanakit/core/api';
import {
  BUYING_TERMS,
  type BuyingTerms,
  checkBuyingTerms,
  comingOf,
  prepareBy,
  type RunDrawn,
  wantsOfRuns,
} from '@lanakit/core/buying';
import { checkRange } from '@lanakit/core/base';
import {
  findingsTaken,
  isOffShelf,
  planInOrder,
  prepareMinutes,
  type Run,
  type RunPortions,
} from '@lanakit/core/run';
import {
  AMOUNT_BOUNDS,
  needleName,
  recipesOf,
  type StockUnit,
  unitOfFinding,
  wantedKey,
} from '@lanakit/core/shelf';
import { nameOfShort } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr } from './refusal.ts';
import { drawingOf, type RunDrawing, shortInOrder } from './runDrawing.ts';
import { planAfter, runsAhead, shelfOf } from './runSources.ts';
import { warmPlans } from './warmPlans.ts';

export type BuyingService = ReturnType<typeof buyingService>;

const TERMS = 'buying';

/** What runs ahead want of the shelf, by when, and what is on its way. */
export const buyingService = ({ store, now }: ServiceDeps) => {
  const at = () => now().toISOString();
  const terms = (): BuyingTerms => store.settings.find<BuyingTerms>(TERMS) ?? BUYING_TERMS;
  return answering({
    async wanted(): Promise<Buying> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const wanted = store.remember(
        ['things', 'ledger', 'patterns', 'runs', 'needles'],
        `wants of ${today}`,
        () => wantsAhead(store, today),
      );
      return {
        today,
        terms: terms(),
        runs: wanted.runs.map((run) => buyingRun(run, terms())),
        wants: wanted.wants,
        namesOfSorts: wanted.namesOfSorts,
        things: thingsOf(store),
        coming: comingOf(store.orders.open()),
      };
    },
    terms,
    setTerms(input: BuyingTerms): BuyingTerms {
      assertSound(checkBuyingTerms(input));
      store.settings.set(TERMS, input, at());
      return terms();
    },
    /** @param least null: it has no level */
    setLevel(
      itemId: string,
      least: number | null,
    ): { readonly itemId: string; readonly least: number | null } {
      foundOr(store.items.kindOf(itemId));
      if (least !== null) assertSound(checkRange(least, { ...AMOUNT_BOUNDS, min: 0.001 }, '/least'));
      store.settings.setLevel(itemId, least);
      return { itemId, least };
    },
  });
};

interface RunAhead extends Omit<BuyingRun, 'prepareBy'> {}

const buyingRun = (run: RunAhead, terms: BuyingTerms): BuyingRun => ({
  ...run,
  prepareBy: prepareBy({ date: run.date, isPosted: run.kind === 'kits' }, run.minutes.total, terms),
});

/** Runs that still draw on the shelf, in their order, with what each wants after those before it. */
function wantsAhead(store: Store, today: string) {
  const wool = shelfOf(store);
  const recipes = recipesOf(store.shelf.blends());
  const drawn = planInOrder(runsAhead(store, today), (run, promisedG) => planAfter(store, run, promisedG));
  const ahead = drawn.filter(({ run }) => !isOffShelf(run.state));
  const drawings = ahead.map(({ run }) => drawingOf(store, run));
  const shorts = shortInOrder(store, drawings);
  const runs = ahead.map(({ plan }, at): RunDrawn => {
    const drawing = drawings[at] as RunDrawing;
    return {
      id: drawing.id,
      date: drawing.date,
      plan,
      findings: findingsTaken(drawing.toPack, wool.findings, drawing.input),
      taken: drawing.taken,
      lent: drawing.lent(),
      things: shorts[at] ?? [],
    };
  });
  return {
    runs: ahead.map(({ run, plan }, at) =>
      runAhead(run, plan, drawings[at] as RunDrawing, new Set(recipes.keys())),
    ),
    wants: wantsOfRuns(runs, {
      onHandG: new Map([...wool.fibres].map(([id, { onHandG }]) => [id, onHandG])),
      recipes,
      unitOf: (itemId): StockUnit => {
        const finding = wool.findings.get(itemId);
        return finding ? unitOfFinding(finding.measure) : 'piece';
      },
    }),
    namesOfSorts: Object.fromEntries(
      shorts
        .flat()
        .flatMap((thing) =>
          thing.kind === 'needle' && thing.needle === null
            ? [[wantedKey(thing.wanted), nameOfShort(thing, wool.findings).name]]
            : [],
        ),
    ),
  };
}

const runAhead = (
  { id, kind, name, date, seats, state }: Run,
  plan: RunPortions,
  { toPack }: RunDrawing,
  blendIds: ReadonlySet<string>,
): RunAhead => ({ id, kind, name, date, seats, state, minutes: prepareMinutes(toPack, plan, blendIds) });

/** Everything on the shelf that is bought, by name. */
function thingsOf(store: Store): BuyingThing[] {
  const levels = store.settings.levels();
  const fibres = store.shelf.fibres();
  const thing = (
    kind: BuyingThing['kind'],
    { id, archived }: { readonly id: string; readonly archived: boolean },
    more: Pick<BuyingThing, 'name' | 'unit' | 'onHand'> & Partial<BuyingThing>,
  ): BuyingThing => ({
    id,
    kind,
    preparation: null,
    colour: null,
    isArchived: archived,
    least: levels.get(id) ?? null,
    ...more,
  });
  return [
    ...fibres.map((fibre) =>
      thing('fibre', fibre, {
        name: fibre.name,
        preparation: fibre.preparation,
        colour: fibre.colour,
        unit: 'g',
        onHand: fibre.onHandG,
      }),
    ),
    ...store.shelf
      .blends(fibres)
      .map((blend) => thing('blend', blend, { name: blend.name, unit: 'g', onHand: blend.onHandG })),
    ...store.shelf.findings().map((finding) =>
      thing('finding', finding, {
        name: finding.name,
        unit: unitOfFinding(finding.measure),
        onHand: finding.onHand,
      }),
    ),
    ...store.shelf
      .needles()
      .map((needle) =>
        thing('needle', needle, { name: needleName(needle), unit: 'piece', onHand: needle.onHand }),
      ),
    ...store.shelf
      .tools()
      .map((tool) => thing('tool', tool, { name: tool.name, unit: 'piece', onHand: tool.onHand })),
  ];
}
