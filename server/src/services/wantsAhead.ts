import type { BuyingRun } from '@lanakit/core/api';
import {
  BUYING_TERMS,
  buyingDays,
  type BuyingDays,
  type BuyingTerms,
  comingOf,
  prepareBy,
  type RunDrawn,
  sellersOf,
  wantsOfRuns,
} from '@lanakit/core/buying';
import {
  findingsTaken,
  isOffShelf,
  planInOrder,
  prepareMinutes,
  type Run,
  type RunPortions,
  type WorkPace,
} from '@lanakit/core/run';
import { recipesOf, type StockUnit, unitOfFinding, wantedKey } from '@lanakit/core/shelf';
import { nameOfShort } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import { drawingOf, type RunDrawing, shortInOrder } from './runDrawing.ts';
import { paceOfMaker } from './paceOfMaker.ts';
import { planAfter, runsAhead, shelfOf } from './runSources.ts';

const TERMS = 'buying';

/** What the maker says of her days; ours where she has said nothing. */
export const buyingTerms = (store: Store): BuyingTerms =>
  store.settings.find<BuyingTerms>(TERMS) ?? BUYING_TERMS;
export const setBuyingTerms = (store: Store, terms: BuyingTerms, at: string): void =>
  store.settings.set(TERMS, terms, at);

type RunAhead = Omit<BuyingRun, 'prepareBy'>;

export const buyingRun = (run: RunAhead, terms: BuyingTerms): BuyingRun => ({
  ...run,
  prepareBy: prepareBy({ date: run.date, isPosted: run.kind === 'kits' }, run.minutes.total, terms),
});

/** Runs that still draw on the shelf, in their order, with what each wants after those before it. */
export function wantsAhead(store: Store, today: string) {
  const pace = paceOfMaker(store);
  const key = `wants of ${today}, ${pace.minutesAWeighing} and ${pace.minutesAPack} min`;
  return store.remember(['things', 'ledger', 'patterns', 'runs', 'needles', 'logbook'], key, () =>
    workedOut(store, today, pace),
  );
}

function workedOut(store: Store, today: string, pace: WorkPace) {
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
      runAhead(run, plan, drawings[at] as RunDrawing, new Set(recipes.keys()), pace),
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
  { id, kind, name, date, seats, state, plan: dayPlan }: Run,
  plan: RunPortions,
  { toPack }: RunDrawing,
  blendIds: ReadonlySet<string>,
  pace: WorkPace,
): RunAhead => ({
  id,
  kind,
  name,
  date,
  seats,
  state,
  minutes: prepareMinutes(toPack, plan, blendIds, dayPlan.elsewhere, pace),
});

/** By when to order what each run is short of, and when its work begins. */
export function buyingDaysAhead(
  store: Store,
  today: string,
): readonly (BuyingDays & { readonly run: BuyingRun })[] {
  const { runs, wants } = wantsAhead(store, today);
  const terms = buyingTerms(store);
  const asked = runs.map((run) => buyingRun(run, terms));
  const blends = new Set(store.shelf.blends().map(({ id }) => id));
  const days = buyingDays(
    wants,
    asked,
    comingOf(store.orders.open(), today),
    sellersOf(store.shelf.suppliers()),
    blends,
  );
  return days.map((ofRun, at) => ({ ...ofRun, run: asked[at] as BuyingRun }));
}
