import { afterEach, beforeEach, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => void (studio = openStudio()));
afterEach(() => studio.close());

/** How often it was worked out, asked once more. */
const counter = () => {
  let made = 0;
  return () => studio.deps.store.remember(['things'], 'it', () => (made += 1));
};

test('what was worked out is worked out again after a write, and only then', async () => {
  const ask = counter();
  expect([ask(), ask(), studio.deps.store.remember(['things'], 'another', () => 'x')]).toEqual([1, 1, 'x']);
  await addFibre(studio);
  expect([ask(), ask()]).toEqual([2, 2]);
});
test('what was worked out inside a transaction that is undone is worked out again', () => {
  const { store } = studio.deps;
  const tools = () => store.remember(['things'], 'tools', () => store.shelf.tools().length);
  const insert = () => studio.db.exec(`INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES ('x', 'tool', 'Snips', '{"sort":"tool"}', '', '')`); // prettier-ignore
  expect(tools()).toBe(0);
  expect(() => {
    store.together(() => {
      insert();
      expect(tools()).toBe(1);
      throw new Error('undone');
    });
  }).toThrow('undone');
  expect(tools()).toBe(0);
});
test('a write by another process is seen', () => {
  const ask = counter();
  ask();
  const other = new Database(join(studio.dir, 'lanakit.sqlite'));
  other.exec(`INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES ('y', 'tool', 'Snips', '{"sort":"tool"}', '', '')`); // prettier-ignore
  other.close();
  expect(ask()).toBe(2);
});

test('what has nothing to do with it is no reason to work it out again', async () => {
  const ask = counter();
  ask();
  const pattern = await addPattern(studio, ballPattern(null));
  studio.db.exec(
    `INSERT INTO picture (id, sha256, mime, width, height, large, small, created_at) VALUES ('p', '${'0'.repeat(64)}', 'image/png', 1, 1, x'00', x'00', '')`,
  );
  expect(ask()).toBe(1);
  expect(pattern.version).toBe(1);
  studio.db.exec(`UPDATE item SET name = 'x'`);
  expect(ask()).toBe(1);
  await addFibre(studio);
  expect(ask()).toBe(2);
});
test('of very many things the ones asked for last are kept', () => {
  const { store } = studio.deps;
  let made = 0;
  const ask = (at: number) => store.remember(['runs'], `thing ${at}`, () => (made += 1));
  for (let at = 0; at < 6000; at++) {
    ask(at);
    // Looked at again and again, however long ago it was worked out.
    ask(7);
  }
  expect(made).toBe(6000);
  ask(5999);
  ask(7);
  expect(made).toBe(6000);
  ask(0);
  expect(made).toBe(6001);
});
