import type { Revision } from '@lanakit/core/api';
import { type Wool, woolOnShelf } from '@lanakit/core/engine';
import {
  type Designs,
  inDrawingOrder,
  isOffShelf,
  type Frozen,
  packedRun,
  type PackedRun,
  packsOf,
  restocked,
  revisionsOfRun,
  type Run,
  type RunInput,
  type RunPortions,
  type RunSources,
  stockIn,
} from '@lanakit/core/run';
import { byCodePoint } from '@lanakit/core/base';
import { brokenInMaking, brokenTogether, type Making } from '@lanakit/core/logbook';
import type { BreakageEvidence } from '@lanakit/core/needles';
import { createHash } from 'node:crypto';
import { itemsUsed } from '@lanakit/core/pattern';
import type { Store } from '../db/index.ts';

/** The shelf as the engine looks wool up. */
export const shelfOf = ({ shelf, stock, learnt, remember }: Store): Wool =>
  remember(['things', 'ledger', 'logbook'], 'shelf', () => {
    const fibres = shelf.fibres();
    return {
      fibres: woolOnShelf(fibres, shelf.blends(fibres)),
      findings: new Map(shelf.findings().map((finding) => [finding.id, finding])),
      handMeasures: stock.handMeasures(),
      learnt: learnt.last()?.learnt ?? null,
    };
  });

/** A run's leading revision; a run cannot exist without one (foreign key). */
export function revisionOf(store: Store, run: Pick<Run, 'revisionId'>): Revision {
  const revision = store.patterns.findRevision(run.revisionId);
  if (!revision) throw new Error(`run without its revision ${run.revisionId}`);
  return revision;
}

/** The patterns that runs are pinned to. */
export const designsOf = (store: Store, ...runs: readonly RunInput[]): Designs =>
  new Map(
    runs.flatMap(revisionsOfRun).flatMap((id) => {
      const revision = store.patterns.findRevision(id);
      return revision ? [[id, revision.document] as const] : [];
    }),
  );

/** What a run, and what was written down of it, is worked out from today. */
export function sourcesOf(
  store: Store,
  run: Run,
  promisedG: ReadonlyMap<string, number> = new Map(),
): RunSources {
  const frozen = store.runs.frozen(run.id);
  return {
    designs: designsOf(store, run, ...(frozen ? [frozen.input] : [])),
    shelf: shelfOf(store),
    promisedG,
  };
}

/** How often needles broke: by what closed trays count, and by what makings tell. */
export const breakages = (store: Store): BreakageEvidence[] =>
  brokenTogether([
    ...store.trays.evidence(),
    ...store.makings.all().flatMap((making) => brokenIn(store, making)),
  ]);

function brokenIn(store: Store, making: Making): BreakageEvidence[] {
  if (making.steps.every(({ minutes }) => minutes === null)) return [];
  const stamp = `${store.makings.buildStamp(making.id)} ${making.version}`;
  return store.rememberAs(`broken in ${making.id}`, stamp, () => {
    const build = store.makings.buildOf(making.id);
    return build ? brokenInMaking(making, build, shelfOf(store)) : [];
  });
}

/** Needles, tools, and how often needles break: the same while nothing of that is written. */
export const gearOf = (store: Store) =>
  store.remember(['things', 'ledger', 'runs', 'needles', 'logbook'], 'gear', () => {
    const [needles, tools, evidence] = [store.shelf.needles(), store.shelf.tools(), breakages(store)];
    const stamp = createHash('sha1')
      .update(JSON.stringify([needles, tools, evidence]))
      .digest('base64');
    return { needles, tools, evidence, stamp };
  });

/** What a revision names of the shelf: it never changes, once it is there. */
function itemsOfRevision(store: Store, revisionId: string): readonly string[] {
  const revision = store.patterns.findRevision(revisionId);
  return revision ? store.rememberAs(`items of ${revisionId}`, '', () => itemsUsed(revision.document)) : [];
}

/**
 * The same as long as the wool of a run is the same, however much of it there is: what its packs follow from beside its own
 * terms. A test holds it against what is looked up.
 */
export function woolStamp(store: Store, run: RunInput): string {
  const shelf = shelfOf(store);
  const revisions = [...new Set(revisionsOfRun(run))].toSorted(byCodePoint).join(' ');
  const ofShelf = stamps.get(shelf) ?? new Map<string, string>();
  stamps.set(shelf, ofShelf);
  const known = ofShelf.get(revisions) ?? stampOf(store, shelf, run);
  ofShelf.set(revisions, known);
  return known;
}

/** By shelf, and by revisions: of hundreds of runs that are pinned to a few, each few once. */
const stamps = new WeakMap<Wool, Map<string, string>>();

function stampOf(store: Store, wool: Wool, run: RunInput): string {
  const ids = [...new Set(revisionsOfRun(run).flatMap((id) => itemsOfRevision(store, id)))];
  return createHash('sha1')
    .update(JSON.stringify([likeOf(ids, wool), wool.handMeasures, wool.learnt]))
    .digest('base64');
}

const likeOf = (ids: readonly string[], { fibres, findings }: Wool) =>
  ids.map((id) => [id, packedBy(fibres.get(id)), packedBy(findings.get(id))]);

/** The same as long as what these things are like is the same, and the maker’s fingers: whatever was learnt. */
export const untaughtStamp = (ids: readonly string[], wool: Wool): string =>
  createHash('sha1')
    .update(JSON.stringify([likeOf(ids, wool), wool.handMeasures]))
    .digest('base64');

/** How much of it there is, and what is only shown of it: no pack follows from that. A test holds it against what is read. */
export const NOT_PACKED_BY: ReadonlySet<string> = new Set([
  'onHandG',
  'peakG',
  'lots',
  'onHand',
  'cutFrom',
  'peak',
  'version',
  'name',
  'otherNames',
  'kind',
  'note',
  'place',
  'archived',
]);

const packedBy = (thing: object | undefined): object | null =>
  thing ? Object.fromEntries(Object.entries(thing).filter(([key]) => !NOT_PACKED_BY.has(key))) : null;

/**
 * What is in force of a run, with the whole shelf before it. Its packs are worked out again only when the run itself or what
 * wool is like has changed; what is free and short of them follows the shelf.
 */
export function packedAlone(store: Store, run: Run): PackedRun {
  const kept = store.remember(['things', 'ledger', 'runs', 'logbook'], `packed alone, ${run.id}`, () => {
    const frozen = store.runs.frozen(run.id);
    const sources = sourcesOf(store, run);
    const packed = frozen ? keptAsWritten(store, run, frozen, sources) : keptAsPlanned(store, run, sources);
    return { ...packed, plan: restocked(packed.plan, stockIn(sources)) };
  });
  return { ...kept, wool: kept.wool ?? shelfOf(store) };
}

interface KeptRun extends Omit<PackedRun, 'wool'> {
  /** Null: the shelf as it is. Kept with each run, every shelf there ever was would be kept. */
  readonly wool: Wool | null;
}

const keptAsWritten = (store: Store, run: Run, frozen: Frozen, sources: RunSources): KeptRun =>
  store.rememberAs(`packed ${run.id}`, `${store.runs.stamp(run.id)} ${woolStamp(store, run)}`, () =>
    packedRun(run, frozen, sources),
  );

type Packed = Pick<PackedRun, 'toPack' | 'plan'>;

/** By terms and wool, as long as some run is so: each run keeps its own, and lets go of it when it is changed. */
const packedAlike = new WeakMap<Store, Map<string, WeakRef<Packed>>>();
const MOST_ALIKE = 500;

/** Runs on the same terms are packed the same: a class that is given every week is worked out once. */
function keptAsPlanned(store: Store, run: Run, sources: RunSources): KeptRun {
  const stamp = `${termsKey(run)} ${woolStamp(store, run)}`;
  const { toPack, plan } = store.rememberAs(`packed ${run.id}`, stamp, (): Packed => {
    const alike = packedAlike.get(store) ?? new Map<string, WeakRef<Packed>>();
    packedAlike.set(store, alike);
    const known = alike.get(stamp)?.deref();
    if (known) return known;
    const packed = packedRun(run, null, sources);
    const made = { toPack: packed.toPack, plan: packed.plan };
    if (alike.size >= MOST_ALIKE) for (const [key, held] of alike) if (!held.deref()) alike.delete(key);
    alike.set(stamp, new WeakRef(made));
    return made;
  });
  return { input: run, wool: null, toPack, plan, packs: packsOf(toPack.groups, run.roster) };
}

/** All that a run’s packs follow from of its own: not what it is called, nor when it is. */
export function termsKey(run: Run): string {
  const { id: _id, version: _version, state: _state, name: _name, date: _date, ...terms } = run;
  return createHash('sha1').update(JSON.stringify(terms)).digest('base64');
}

/** The portions of a run against the shelf as runs before leave it. @param promisedG what those will take, by fibre */
export const planAfter = (store: Store, run: Run, promisedG: ReadonlyMap<string, number>): RunPortions =>
  restocked(packedAlone(store, run).plan, stockIn({ shelf: shelfOf(store), promisedG }));

/** Runs whose designs can be read; those of which one is damaged are left out, and noted. */
const readableRuns = (store: Store, runs: readonly Run[]): Run[] =>
  store.sound.each('run', runs, (run) => {
    designsOf(store, run);
    store.runs.frozen(run.id);
    return run;
  });

/** Runs ahead that can be read. */
export const runsAhead = (store: Store, today: string): Run[] =>
  store.remember(['runs', 'patterns'], `runs ahead of ${today}`, () =>
    readableRuns(store, store.runs.ahead(today)),
  );

/** Runs ahead that still draw on the shelf, in the order in which they do. */
export const drawingAhead = (store: Store, today: string): Run[] =>
  inDrawingOrder(runsAhead(store, today).filter(({ state }) => !isOffShelf(state)));
