import { afterEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { databaseFault } from '../../src/db/databaseFault.ts';
import { createStore, holdStudio, migrate, openDatabase } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';

const dirs: string[] = [];
const freshDir = () => {
  const dir = mkdtempSync(join(tmpdir(), 'lanakit-hold-'));
  dirs.push(dir);
  return dir;
};
afterEach(() => dirs.splice(0).forEach((dir) => rmSync(dir, { recursive: true, force: true })));

const held = (dir: string) => {
  const result = holdStudio(dir);
  if (!result.ok) throw new Error(result.refusal.code);
  return result.hold;
};

describe('a studio is one process’s', () => {
  test('the second is refused, and may have it when the first lets go', () => {
    const dir = freshDir();
    const hold = held(dir);
    expect(holdStudio(dir)).toMatchObject({ ok: false, refusal: { code: 'studio_in_use' } });
    expect(holdStudio(freshDir())).toMatchObject({ ok: true });
    hold.release();
    held(dir).release();
  });
  test('another process is refused too; killed, it leaves no lock', async () => {
    const dir = freshDir();
    const script = `
      const lock = require('better-sqlite3')(${JSON.stringify(join(dir, 'lanakit.lock'))});
      lock.pragma('locking_mode = EXCLUSIVE'); lock.exec('BEGIN EXCLUSIVE');
      process.stdout.write('held'); setInterval(() => {}, 1000);`;
    const other = spawn(process.execPath, ['-e', script], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, NODE_OPTIONS: '' },
    });
    await once(other.stdout, 'data');
    expect(holdStudio(dir)).toMatchObject({ ok: false, refusal: { code: 'studio_in_use' } });
    other.kill('SIGKILL');
    await once(other, 'exit');
    held(dir).release();
  });
  test('what was left lying about by a process that ended is taken away by the next, and nothing else', () => {
    const dir = freshDir();
    mkdirSync(join(dir, 'backups'));
    const kept = ['lanakit.sqlite.damaged-x', 'notes.sqlite', 'looking-glass.sqlite'];
    const left = ['looking-12.sqlite', 'looking-12.sqlite-wal', 'backups/unchecked-9.sqlite'];
    for (const name of [...kept, ...left]) writeFileSync(join(dir, name), 'x');
    held(dir).release();
    for (const name of kept) expect([name, existsSync(join(dir, name))]).toEqual([name, true]);
    for (const name of left) expect([name, existsSync(join(dir, name))]).toEqual([name, false]);
  });
  test('its directory is its owner’s alone', () => {
    const dir = join(freshDir(), 'studio');
    held(dir).release();
    expect(statSync(dir).mode & 0o777).toBe(0o700);
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    opened.db.close();
    chmodSync(dir, 0o755);
    held(dir).release();
    expect(statSync(dir).mode & 0o777).toBe(0o700);
  });
  test('what cannot be a directory is refused with its reason', () => {
    expect(holdStudio('/dev/null/lanakit')).toMatchObject({
      ok: false,
      refusal: { code: 'data_dir_unwritable' },
    });
  });
});

describe('the first start', () => {
  const openStore = (dir: string) => {
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    return { db: opened.db, store: createStore(opened.db) };
  };
  test('is not over until it has gone through: a start that ended after the tables are there begins anew', () => {
    const dir = freshDir();
    const first = openStore(dir);
    expect(first.store.studio.isBegun()).toBe(false);
    first.db.close();
    const second = openStore(dir);
    expect(second.store.studio.isBegun()).toBe(false);
    expect(() =>
      second.store.together(() => {
        second.store.studio.begin('demo', '2026-11-24');
        throw new Error('the disk is full');
      }),
    ).toThrow('full');
    expect(second.store.studio.isBegun()).toBe(false);
    second.store.studio.begin('empty', '2026-11-24');
    expect(second.store.studio.isBegun()).toBe(true);
    second.db.close();
  });
  test.each([
    [
      'a studio in which there ever was anything is begun',
      `INSERT INTO item (id, kind, name, properties, created_at, updated_at, deleted_at) VALUES ('x', 'tool', 'Snips', '{"sort":"tool"}', '', '', '')`,
      true,
    ],
    ['one in which there never was is not', 'SELECT 1', false],
  ])('brought forward, %s', (_name, sql, isBegun) => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    migrate(old, MIGRATIONS.slice(0, 11));
    old.exec(sql);
    old.close();
    const again = openStore(dir);
    expect(again.store.studio.isBegun()).toBe(isBegun);
    again.db.close();
  });
});

describe('what SQLite and the disk refuse has a name', () => {
  const thrownBy = (work: (db: Database.Database) => unknown): unknown => {
    const db = new Database(join(freshDir(), 'x.sqlite'));
    db.exec('CREATE TABLE t (a BLOB)');
    try {
      work(db);
      return null;
    } catch (error) {
      return error;
    } finally {
      db.close();
    }
  };
  test.each<[string, (db: Database.Database) => unknown, string]>([
    [
      'no room left',
      (db) => (db.pragma('max_page_count = 3'), db.exec('INSERT INTO t VALUES (zeroblob(100000))')),
      'disk_full',
    ],
    [
      'a file that may not be written',
      (db) => (db.pragma('query_only = ON'), db.exec('INSERT INTO t VALUES (1)')),
      'read_only',
    ],
    [
      'a file that is no database',
      () => new Database('/etc/passwd').pragma('user_version'),
      'database_damaged',
    ],
    [
      'a place where there can be none',
      () => new Database('/dev/null/x').exec('CREATE TABLE t (a)'),
      'disk_failed',
    ],
  ])('%s', (_name, work, code) => expect(databaseFault(thrownBy(work))).toMatchObject({ code }));
  test('anything else has none', () => {
    expect(databaseFault(new Error('x'))).toBeNull();
    expect(databaseFault(Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT_UNIQUE' }))).toBeNull();
    expect(databaseFault('x')).toBeNull();
  });
});
