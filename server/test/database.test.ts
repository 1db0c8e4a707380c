import { describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createStore, migrate, openDatabase } from '../src/db/index.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { estimatePattern, missingForPublishing, checkPattern } from '@lanakit/core';
import { NOW, fibreInput } from './support/studio.ts';

const freshDir = () => mkdtempSync(join(tmpdir(), 'lanakit-db-'));

describe('opening', () => {
  test('makes the directory and the tables, once', () => {
    const dir = join(freshDir(), 'a', 'b');
    const first = openDatabase(dir);
    expect(first).toMatchObject({ ok: true, isNew: true });
    if (first.ok) first.db.close();
    const again = openDatabase(dir);
    expect(again).toMatchObject({ ok: true, isNew: false });
    if (again.ok) again.db.close();
  });
  test('leaves a newer database untouched and says so', () => {
    const dir = freshDir();
    const newer = new Database(join(dir, 'lanakit.sqlite'));
    newer.pragma('user_version = 99');
    newer.close();
    expect(openDatabase(dir)).toMatchObject({ ok: false, refusal: { code: 'database_newer', found: 99 } });
  });
  test('a file that is no database is not overwritten', () => {
    const dir = freshDir();
    writeFileSync(join(dir, 'lanakit.sqlite'), 'knitting is not felting '.repeat(400));
    expect(openDatabase(dir)).toMatchObject({ ok: false, refusal: { code: 'database_unreadable' } });
  });
  test('a directory that cannot be made', () => {
    const dir = freshDir();
    writeFileSync(join(dir, 'wool'), '');
    expect(openDatabase(join(dir, 'wool', 'deeper'))).toMatchObject({
      ok: false,
      refusal: { code: 'data_dir_unwritable' },
    });
  });
  test('a directory that nobody can make, not even root', () => {
    expect(openDatabase('/dev/null/lanakit')).toMatchObject({
      ok: false,
      refusal: { code: 'data_dir_unwritable' },
    });
  });
});

describe('migrations', () => {
  test('a step that fails is undone whole, and the steps before it stand', () => {
    const db = new Database(':memory:');
    expect(() => migrate(db, ['CREATE TABLE a (x); ', 'CREATE TABLE b (x); SELECT nonsense;'])).toThrow(
      'nonsense',
    );
    expect(db.pragma('user_version', { simple: true })).toBe(1);
    const tables = db.prepare(`SELECT name FROM sqlite_master WHERE type = 'table'`).pluck().all();
    expect(tables).toEqual(['a']);
    expect(migrate(db, ['CREATE TABLE a (x);', 'CREATE TABLE b (x);'])).toEqual({ ok: true, from: 1 });
  });
});

test('what was acknowledged is there after the process is gone without a goodbye', () => {
  const dir = freshDir();
  const first = openDatabase(dir);
  if (!first.ok) throw new Error('not opened');
  createStore(first.db).fibres.insert('f', fibreInput(), NOW.toISOString());
  // Opened again beside the first, which is never closed: as after a kill, only the file and its log are left.
  const second = openDatabase(dir);
  if (!second.ok) throw new Error('not opened');
  expect(createStore(second.db).fibres.find('f')?.onHandG).toBe(100);
  first.db.close();
  second.db.close();
});

test('the demo studio is whole: everything stored is possible, and every screen has something true to show', () => {
  const opened = openDatabase(freshDir());
  if (!opened.ok) throw new Error('not opened');
  let ids = 0;
  const store = createStore(opened.db);
  loadDemo({ store, now: () => NOW, newId: () => `d${++ids}` });
  const shelf = new Map(store.fibres.all().map((fibre) => [fibre.id, fibre]));
  expect(shelf.size).toBe(25);
  const drafts = store.patterns.all();
  expect(drafts.map(({ document }) => document.title).sort()).toEqual([
    'Balloon mobile',
    'Harbour puffin',
    'Pear with two leaves',
    'Stag beetle brooch',
    'Tide-pool octopus',
  ]);
  for (const { document } of drafts) {
    expect(checkPattern(document)).toEqual([]);
    expect(estimatePattern(document, shelf).total.likelyG).toBeGreaterThan(1);
  }
  expect(drafts.filter(({ document }) => missingForPublishing(document).length > 0)).toHaveLength(1);
  expect(store.runs.all().every((run) => run.date > '2026-11-24')).toBe(true);
  opened.db.close();
});
