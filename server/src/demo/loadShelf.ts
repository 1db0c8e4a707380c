import { BLANK_BLEND, blankLot, type BlendInput, toMilli } from '@lanakit/core/shelf';
import { todayOf, type StoreDeps } from '../routes/deps.ts';
import { ITEM_SPECS, type ItemSpec, writeOf } from '../routes/itemSpecs.ts';
import { DEMO_FINDINGS } from './findings.ts';
import { DEMO_NEEDLES, DEMO_TOOLS } from './needles.ts';
import { DEMO_BLENDS, type DemoFibre, demoFibres } from './shelf.ts';
import { demoSuppliers } from './suppliers.ts';
import type { DemoShelf } from './write.ts';

const DAYS_AGO = 70;

/** Puts the demo's shelf in place, with a ledger behind it, and gives what is on it by key and name. */
export function loadShelf(deps: StoreDeps): Omit<DemoShelf, 'technique'> {
  const came = new Date(deps.now());
  came.setDate(came.getDate() - DAYS_AGO);
  const ids = new Map<string, string>();
  const fibres = [...demoFibres(todayOf(came))].map(([key, fibre]) => {
    const id = putFibre(deps, fibre, came.toISOString());
    ids.set(key, id);
    return { id, input: fibre.input };
  });
  const wool: DemoShelf['fibre'] = (key) => {
    const id = ids.get(key);
    if (id === undefined) throw new Error(`the demo shelf has no ${key}`);
    return id;
  };
  for (const [key, name, parts, note] of DEMO_BLENDS) {
    const input: BlendInput = {
      ...BLANK_BLEND,
      name,
      note,
      parts: parts.map(([part, share]) => ({ itemId: wool(part), parts: share })),
    };
    ids.set(key, put(deps, ITEM_SPECS.blend, input));
  }
  const pieces = <T>(spec: ItemSpec, rows: readonly { input: T; onHand: number | null }[]) =>
    rows.map(({ input, onHand }) => ({ id: put(deps, spec, input, onHand), input }));
  const findings = pieces(ITEM_SPECS.finding, DEMO_FINDINGS);
  const needles = pieces(ITEM_SPECS.needle, DEMO_NEEDLES);
  pieces(ITEM_SPECS.tool, DEMO_TOOLS);
  for (const supplier of demoSuppliers({ fibres, findings, needles }))
    put(deps, ITEM_SPECS.supplier, supplier);
  blendSome(deps, wool);
  deps.store.stock.setHandMeasure(
    { name: 'pinch', massG: 0.115, lowG: 0.1, highG: 0.13 },
    came.toISOString(),
  );
  const finding = (name: string) => {
    const found = findings.find(({ input }) => input.name === name);
    if (!found) throw new Error(`the demo shelf has no ${name}`);
    return found.id;
  };
  const needle: DemoShelf['needle'] = (gauge, profile) => {
    const found = needles.find(({ input }) => input.gauge === gauge && input.profile === profile);
    if (!found) throw new Error(`the demo shelf has no ${gauge} ${profile}`);
    return found.id;
  };
  return { fibre: wool, finding, needle };
}

function put(
  { store, now, newId }: StoreDeps,
  spec: ItemSpec,
  input: unknown,
  onHand: number | null = null,
): string {
  const id = newId();
  const at = now().toISOString();
  store.items.insert(id, writeOf(spec, input), at);
  if (onHand !== null) store.stock.enterCount({ itemId: id, lotId: null, amount: onHand }, at);
  return id;
}

function putFibre({ store, now, newId }: StoreDeps, fibre: DemoFibre, came: string): string {
  const id = newId();
  store.items.insert(id, writeOf(ITEM_SPECS.fibre, fibre.input), came);
  for (const { input, receivedG, sampleG, onHandG } of fibre.lots) {
    const lotId = newId();
    store.stock.insertLot(lotId, id, input, came);
    const enter = (amountG: number, reason: 'received' | 'sample' | 'packed', at: string) => {
      if (amountG !== 0) {
        store.stock.enter({ itemId: id, lotId, amountMilli: toMilli(amountG), reason, at });
      }
    };
    enter(receivedG, 'received', came);
    enter(-sampleG, 'sample', now().toISOString());
    enter(onHandG - receivedG + sampleG, 'packed', now().toISOString());
  }
  return id;
}

/** A lot of the octopus's blend, made some weeks ago from what came beside the rest. */
function blendSome({ store, now, newId }: StoreDeps, wool: DemoShelf['fibre']): void {
  const [id, lotId, at] = [wool('tide-pool'), newId(), now().toISOString()];
  store.stock.insertLot(
    lotId,
    id,
    { ...blankLot('first carding'), place: 'drawer 7', receivedOn: todayOf(now()) },
    at,
  );
  store.stock.enter({
    itemId: id,
    lotId,
    amountMilli: toMilli(32),
    reason: 'received',
    note: 'blended before this ledger',
    at,
  });
}
