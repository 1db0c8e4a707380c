import { blankLot } from '@lanakit/core/shelf';
import { createStore, type Db, openDatabase, type Store } from '../server/src/db/index.ts';
import { Chance } from './random.ts';
import { Studio } from './studio.ts';

/** How much there is of everything. */
interface Size {
  readonly patterns: number;
  readonly items: number;
  readonly runs: number;
  readonly runsAhead: number;
  readonly movements: number;
}

/** Ten times what a studio comes to in its life. */
const TEN_LIVES: Size = { patterns: 20_000, items: 5_000, runs: 10_000, runsAhead: 24, movements: 1_000_000 };

export const sizeOf = (fraction: number): Size => ({
  patterns: Math.ceil(TEN_LIVES.patterns * fraction),
  items: Math.ceil(TEN_LIVES.items * fraction),
  runs: Math.ceil(TEN_LIVES.runs * fraction),
  runsAhead: TEN_LIVES.runsAhead,
  movements: Math.ceil(TEN_LIVES.movements * fraction),
});

const FIGURES = [
  'Pear',
  'Puffin',
  'Octopus',
  'Beetle',
  'Balloon',
  'Hare',
  'Wren',
  'Seal',
  'Gnome',
  'Acorn',
  'Whelk',
  'Otter',
];
const LOOKS = [
  'small',
  'large',
  'sleepy',
  'spotted',
  'winter',
  'harbour',
  'moss',
  'first',
  'two-legged',
  'hanging',
];
const DAY_MS = 24 * 3_600_000;

/** The demo, multiplied, through the store: everything is of the form Lanakit itself writes. */
export async function makeBigStudio(dataDir: string, size: Size, seed: number): Promise<void> {
  const studio = await Studio.started(dataDir, true);
  await studio.stop();
  const opened = openDatabase(dataDir);
  if (!opened.ok) throw new Error(opened.refusal.code);
  const { db } = opened;
  db.pragma('synchronous = OFF');
  const multiply: Multiply = { store: createStore(db), db, size, chance: new Chance(seed) };
  multiply.store.together(() => {
    multiplyItems(multiply);
    multiplyPatterns(multiply);
    multiplyRuns(multiply);
    multiplyMovements(multiply);
  });
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}

interface Multiply {
  readonly store: Store;
  readonly db: Db;
  readonly size: Size;
  readonly chance: Chance;
}

const momentAgo = (chance: Chance, days: number): string =>
  new Date(Date.now() - chance.whole(1, days * 24 * 60) * 60_000).toISOString();

function multiplyItems({ store, size: { items }, chance }: Multiply): void {
  const shelf = [
    ...store.shelf.fibres().map((thing) => ({ kind: 'fibre' as const, thing })),
    ...store.shelf.findings().map((thing) => ({ kind: 'finding' as const, thing })),
    ...store.shelf.tools().map((thing) => ({ kind: 'tool' as const, thing })),
  ];
  for (let at = shelf.length; at < items; at++) {
    const { kind, thing } = chance.pick(shelf);
    const name = `${thing.name} ${at}`;
    const moment = momentAgo(chance, 3650);
    const input = Object.assign(plain(thing), { name });
    store.items.insert(`item-${at}`, { kind, name, input, links: [] }, moment);
    if (kind === 'fibre') store.stock.insertLot(`lot-${at}`, `item-${at}`, blankLot('bale'), moment);
  }
}

/** What it is like, without how much there is of it. */
function plain<T extends { readonly archived: boolean }>(thing: T): T {
  const stock = ['id', 'version', 'onHandG', 'peakG', 'onHand', 'peak', 'lots'];
  return Object.fromEntries(Object.entries(thing).filter(([key]) => !stock.includes(key))) as T;
}

function multiplyPatterns({ store, size: { patterns }, chance }: Multiply): void {
  const sources = store.patterns.page(null, 50);
  for (let at = sources.length; at < patterns; at++) {
    const title = `${chance.pick(FIGURES)}, ${chance.pick(LOOKS)} ${at}`;
    const document = { ...chance.pick(sources).document, title };
    const id = `pattern-${at}`;
    store.patterns.insert(id, document, momentAgo(chance, 3650));
    if (at % 20 === 0) store.patterns.setArchived(id, momentAgo(chance, 300));
    if (at % 2 === 1) store.patterns.publish(`${id}-r`, id, document, { at: momentAgo(chance, 3650) });
  }
}

function multiplyRuns({ store, db, size: { runs, runsAhead }, chance }: Multiply): void {
  const sources = store.runs.all();
  const planned = sources.filter(({ state }) => state === 'planned');
  const done = sources.find(({ state }) => state === 'done');
  const copyState = db.prepare(`UPDATE run SET state = f.state, frozen = f.frozen, frozen_seal = f.frozen_seal
    FROM (SELECT state, frozen, frozen_seal FROM run WHERE id = @from) f WHERE run.id = @id`);
  const ahead = Math.max(0, runsAhead - planned.length);
  for (let at = sources.length; at < runs; at++) {
    const isAhead = at - sources.length < ahead;
    const source = isAhead || !done ? chance.pick(planned) : done;
    const days = isAhead ? chance.whole(1, 90) : -chance.whole(1, 3650);
    const date = new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);
    const { id: from, version: _version, state: _state, ...input } = source;
    const name = `${chance.pick(FIGURES)} ${isAhead ? 'evening' : 'class'} ${at}`;
    store.runs.insert(`run-${at}`, { ...input, name, date }, momentAgo(chance, 3650));
    if (!isAhead) copyState.run({ from, id: `run-${at}` });
  }
}

function multiplyMovements({ store, db, size: { movements }, chance }: Multiply): void {
  const lots = db.prepare<[], { id: string; itemId: string }>('SELECT id, item_id AS itemId FROM lot').all();
  const there = new Map<string, number>();
  for (let at = 0; at < movements; at++) {
    const { id: lotId, itemId } = chance.pick(lots);
    const onHand = there.get(lotId) ?? 0;
    const amountMilli = onHand > 40_000 ? -chance.whole(1_000, 30_000) : chance.whole(10_000, 200_000);
    there.set(lotId, onHand + amountMilli);
    const reason = amountMilli > 0 ? 'received' : 'sample';
    store.stock.enter({ itemId, lotId, amountMilli, reason, at: momentAgo(chance, 3650) });
  }
}
