import { expect, test } from '@jest/globals';
import { loadDemo } from '@lanakit/demo';
import { itemsUsed } from '@lanakit/core/pattern';
import { packedRun, revisionsOfRun, type RunInput } from '@lanakit/core/run';
import { designsOf, NOT_PACKED_BY, packedAlone, shelfOf, termsKey } from '../../src/services/runSources.ts';
import { addFibre, NOW, openStudio } from '../support/studio.ts';

/** A map that notes what it is asked for, and cannot be gone through. */
class Watched<V> extends Map<string, V> {
  readonly asked = new Set<string>();
  override get(key: string): V | undefined {
    this.asked.add(key);
    return super.get(key);
  }
  override has(key: string): boolean {
    this.asked.add(key);
    return super.has(key);
  }
  override values(): never {
    throw new Error('all of the shelf is looked at');
  }
  override keys(): never {
    throw new Error('all of the shelf is looked at');
  }
  override entries(): never {
    throw new Error('all of the shelf is looked at');
  }
  override forEach(): never {
    throw new Error('all of the shelf is looked at');
  }
}

test('packs are looked up in nothing of the shelf but what their patterns name: what is kept of them is kept rightly', () => {
  const studio = openStudio();
  const { store } = studio.deps;
  loadDemo(studio.servicesAt, NOW);
  const shelf = shelfOf(store);
  for (const run of store.runs.all()) {
    for (const more of [
      {},
      { undecidedChance: 0.9 },
      { wantedChance: 0.95 },
      { bagging: 'colour' as const },
    ]) {
      const input = { ...run, ...more } as RunInput;
      const designs = designsOf(store, input);
      const named = new Set(revisionsOfRun(input).flatMap((id) => itemsUsed(designs.get(id) ?? never())));
      const fibres = new Watched(shelf.fibres);
      const findings = new Watched(shelf.findings);
      packedRun(input, null, { designs, shelf: { ...shelf, fibres, findings }, promisedG: new Map() });
      expect(fibres.asked.size).toBeGreaterThan(0);
      expect([...fibres.asked, ...findings.asked].filter((id) => !named.has(id))).toEqual([]);
    }
  }
  studio.close();
});

/** The same things, noting which of their properties are read. */
const watchedThings = <T extends object>(things: ReadonlyMap<string, T>, read: Set<string>): Map<string, T> =>
  new Map(
    [...things].map(([id, thing]) => [
      id,
      new Proxy(thing, {
        get(target, name, receiver): unknown {
          if (typeof name === 'string') read.add(name);
          return Reflect.get(target, name, receiver);
        },
      }),
    ]),
  );

test('no pack follows from what is left out of the stamp, nor from what a run is called and when it is', () => {
  const studio = openStudio();
  const { store } = studio.deps;
  loadDemo(studio.servicesAt, NOW);
  const shelf = shelfOf(store);
  const read = new Set<string>();
  for (const run of store.runs.all()) {
    const designs = designsOf(store, run);
    const fibres = watchedThings(shelf.fibres, read);
    const findings = watchedThings(shelf.findings, read);
    const sources = { designs, shelf: { ...shelf, fibres, findings }, promisedG: new Map<string, number>() };
    const { plan } = packedRun(run, null, sources);
    const other = { ...run, id: 'other', version: 9, name: 'Another', date: '2031-01-01' };
    expect(termsKey(other)).toBe(termsKey(run));
    expect(packedRun(other, null, sources).plan).toEqual(plan);
    expect(termsKey({ ...run, seats: run.seats + 1 })).not.toBe(termsKey(run));
  }
  expect(read.size).toBeGreaterThan(5);
  // How much there is follows anew each time; of the rest nothing is read.
  const followed = new Set(['onHandG', 'onHand', 'lots']);
  expect([...read].filter((name) => NOT_PACKED_BY.has(name) && !followed.has(name))).toEqual([]);
  studio.close();
});

test('two classes on the same terms are worked out once, each with its own name', () => {
  const studio = openStudio();
  const { store } = studio.deps;
  loadDemo(studio.servicesAt, NOW);
  const run = store.runs.all().find(({ name }) => name === 'Saturday pears') ?? never();
  const { id: _id, version: _version, state: _state, ...input } = run;
  store.runs.insert('again', { ...input, name: 'Sunday pears', date: '2027-02-07' }, NOW.toISOString());
  const again = packedAlone(store, store.runs.find('again') ?? never());
  expect(again.toPack).toBe(packedAlone(store, run).toPack);
  expect(again.input).toMatchObject({ id: 'again', name: 'Sunday pears' });
  expect(again.packs.map(({ name }) => name)).toEqual(packedAlone(store, run).packs.map(({ name }) => name));
  studio.close();
});

const never = (): never => {
  throw new Error('a run without its design');
};

test('packs are kept while only amounts change, or wool that is not in them; free and short follow at once', async () => {
  const studio = openStudio();
  const { store } = studio.deps;
  loadDemo(studio.servicesAt, NOW);
  const run = store.runs.all().find(({ name }) => name === 'Saturday pears') ?? never();
  const before = packedAlone(store, run);
  const [row] = before.plan.fibres;
  const fibre = store.shelf.fibre(row?.fibreId ?? '') ?? never();
  store.stock.enter({
    itemId: fibre.id,
    lotId: fibre.lots[0]?.id ?? '',
    amountMilli: -1_000,
    reason: 'spoiled',
    at: '',
  });
  await addFibre(studio, { name: 'Thrift' });
  const after = packedAlone(store, run);
  expect(after.toPack).toBe(before.toPack);
  expect(after.plan.fibres[0]?.stock.onHandG).toBe((row?.stock.onHandG ?? 0) - 1);
  expect(after.wool.fibres.get(fibre.id)?.onHandG).toBe((fibre.onHandG ?? 0) - 1);
  // What it is like is another matter.
  const { id, version, onHandG: _on, peakG: _peak, lots: _lots, ...input } = fibre;
  const recoloured = { ...input, colour: '#101010' };
  expect(
    store.items.update(id, version, { kind: 'fibre', name: fibre.name, input: recoloured, links: [] }, ''),
  ).toBe(true);
  expect(packedAlone(store, run).toPack).not.toBe(before.toPack);
  studio.close();
});

test('a version that comes twice is no reason to take the packs of the first: what was undone leaves nothing behind', () => {
  const studio = openStudio();
  const { store } = studio.deps;
  loadDemo(studio.servicesAt, NOW);
  const run = store.runs.all().find(({ name }) => name === 'Saturday pears') ?? never();
  const { id, version, state: _state, ...input } = run;
  const saved = (seats: number) => {
    store.runs.update(id, version, { ...input, seats }, NOW.toISOString());
    return packedAlone(store, store.runs.find(id) ?? never()).plan.packs;
  };
  let undone = 0;
  expect(() =>
    store.together(() => {
      undone = saved(40);
      throw new Error('the disk is full');
    }),
  ).toThrow('full');
  expect(saved(20)).toBe(undone - 20);
  studio.close();
});
