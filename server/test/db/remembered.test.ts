import { afterEach, beforeEach, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { addFibre, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => void (studio = openStudio()));
afterEach(() => studio.close());

/** How often it was worked out, asked once more. */
const counter = () => {
  let made = 0;
  return () => studio.deps.store.remember('it', () => (made += 1));
};

test('what was worked out is worked out again after a write, and only then', async () => {
  const ask = counter();
  expect([ask(), ask(), studio.deps.store.remember('another', () => 'x')]).toEqual([1, 1, 'x']);
  await addFibre(studio);
  expect([ask(), ask()]).toEqual([2, 2]);
});
test('what was worked out inside a transaction that is undone is worked out again', () => {
  const { store } = studio.deps;
  const tools = () => store.remember('tools', () => store.shelf.tools().length);
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
