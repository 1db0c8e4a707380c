import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import { BLANK_FINDING, BLANK_SUPPLIER } from '@lanakit/core/shelf';
import { coastWool } from '../../../core/test/support/coast.ts';
import { fibreEntry, findingEntry, supplierEntry, type Entry } from '../../src/shelf/entries.ts';
import { useBulk } from '../../src/shelf/useBulk.ts';
import { conflictWith, FakeServer } from '../support/fakeServer.ts';
import { hookInStudio, press, noticeText, settled } from '../support/inStudio.tsx';

let server: FakeServer;
beforeEach(() => {
  server = new FakeServer();
});
afterEach(() => {
  cleanup();
  server.close();
});

const [first, second] = [...coastWool.fibres.values()];
if (!first || !second) throw new Error('the coast has wool');
const lot = (id: string) => ({
  id,
  version: 2,
  name: id,
  note: '',
  place: 'drawer 8',
  receivedOn: null,
  pricePer100gMinor: null,
  onHandG: 40,
  overrides: first.lots[0]?.overrides,
});
const wool = [
  { ...first, version: 3, pricePer100gMinor: 470, lots: [lot('l1'), lot('l2')] },
  { ...second, version: 5, pricePer100gMinor: null, lots: [] },
].map((fibre) => fibreEntry(fibre as unknown as Parameters<typeof fibreEntry>[0], 0));
const eyes = {
  ...BLANK_FINDING,
  id: 'eyes',
  version: 7,
  name: 'Bead eye',
  priceMinor: 90,
  onHand: 6,
  peak: 9,
};
const finding = findingEntry(eyes, undefined);
const supplier = supplierEntry({
  ...BLANK_SUPPLIER,
  id: 's',
  version: 1,
  name: 'Mill',
});

function bulkOf(entries: readonly Entry[]) {
  const onDone = jest.fn();
  const hook = hookInStudio(() => useBulk(entries, onDone), undefined);
  const does = async (work: (bulk: ReturnType<typeof useBulk>) => void) => {
    act(() => work(hook.result.current));
    await settled();
  };
  return { onDone, does, bulk: () => hook.result.current };
}

const answered = async (...answer: Parameters<FakeServer['answer']>) => {
  server.answer(...answer);
  await settled();
};
/** What the first write held. */
const firstBody = <T,>(): T => {
  const [write] = server.writes;
  if (!write) throw new Error('nothing was written');
  return write.body as T;
};
const done = { status: 200, body: { items: [] } };

describe('several at once', () => {
  test('archived: one write for each kind, each from its version', async () => {
    const { does } = bulkOf([...wool, finding]);
    await does((bulk) => bulk.archive(true));
    expect(server.writes[0]).toMatchObject({ method: 'PUT', path: '/fibres' });
    const { items } = firstBody<{ items: { id: string; version: number; input: object }[] }>();
    expect(items.map(({ id, version }) => [id, version])).toEqual([
      [first.id, 3],
      [second.id, 5],
    ]);
    expect(items.every(({ input }) => (input as { archived: boolean }).archived)).toBe(true);
    // What the shelf adds to a thing is not written back to it.
    expect(items[0]?.input).not.toHaveProperty('lots');
    await answered(done);
    expect(server.writes[1]).toMatchObject({
      path: '/findings',
      body: { items: [{ id: 'eyes', version: 7 }] },
    });
    await answered(done);
    expect(noticeText()).toBe('3 things archived.');
  });
  test('moved: wool lies in lots, each of which moves; a finding moves itself', async () => {
    const { does } = bulkOf([...wool, finding]);
    await does((bulk) => bulk.move('drawer 12'));
    const { lots } = firstBody<{
      lots: { id: string; version: number; input: { place: string } }[];
    }>();
    expect(server.writes[0]?.path).toBe('/lots');
    expect(lots.map(({ id, version, input }) => [id, version, input.place])).toEqual([
      ['l1', 2, 'drawer 12'],
      ['l2', 2, 'drawer 12'],
    ]);
    expect(lots[0]?.input).not.toHaveProperty('onHandG');
    await answered(done);
    expect(server.writes[1]?.body).toMatchObject({ items: [{ id: 'eyes', input: { place: 'drawer 12' } }] });
  });
  test('dearer: only what has a price, in whole units', async () => {
    const { does } = bulkOf([...wool, finding, supplier]);
    await does((bulk) => bulk.reprice(10));
    expect(server.writes[0]?.body).toMatchObject({
      items: [{ id: first.id, input: { pricePer100gMinor: 517 } }],
    });
    await answered(done);
    expect(server.writes[1]?.body).toMatchObject({ items: [{ id: 'eyes', input: { priceMinor: 99 } }] });
    await answered(done);
    expect(noticeText()).toBe('2 prices changed by 10 %.');
  });
  test('the choice is let go when it is done, and not when what is shown has come anew', async () => {
    const { does, onDone } = bulkOf([finding]);
    // What is asked for again hangs.
    server.reply = () => undefined;
    await does((bulk) => bulk.archive(true));
    expect(onDone).not.toHaveBeenCalled();
    await answered(done);
    expect(onDone).toHaveBeenCalledTimes(1);
  });
  test('taken back: as it was, from the versions that were saved', async () => {
    const { does } = bulkOf([finding]);
    await does((bulk) => bulk.reprice(-50));
    await answered(done);
    await press('Undo');
    expect(server.writes[1]?.body).toMatchObject({
      items: [{ id: 'eyes', version: 8, input: { priceMinor: 90 } }],
    });
  });
  test('refused: said, and the choice stays', async () => {
    const { does, onDone } = bulkOf([finding]);
    await does((bulk) => bulk.archive(true));
    await answered(conflictWith(eyes));
    expect(noticeText()).toBe('Changed elsewhere.');
    expect(onDone).not.toHaveBeenCalled();
  });
});

test.each([
  ['wool without a price', [wool[1]], false, true],
  ['wool with one', [wool[0]], true, true],
  ['a supplier', [supplier], false, false],
  ['a supplier among others', [supplier, finding], true, true],
] as const)('what is offered for %s', (_name, entries, canReprice, canMove) => {
  const { bulk } = bulkOf(entries as readonly Entry[]);
  expect([bulk().canReprice, bulk().canMove]).toEqual([canReprice, canMove]);
});
