import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import {
  copyFileSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import {
  BACKUP_REASONS,
  backupName,
  readBackupName,
  thinnedBackups,
  type NamedBackup,
} from '../../src/db/backupNames.ts';
import { backupFolder, backupsIn, faultOf, makeBackup, makeBackupAtOnce } from '../../src/db/backups.ts';
import { isBackupDue } from '../../src/db/dailyBackup.ts';
import { openDatabase, restoreBackup, type Db } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';

const NOW = new Date('2031-03-08T19:00:00.000Z');
const DAY_MS = 24 * 3_600_000;
const daysAgo = (days: number): Date => new Date(NOW.getTime() - days * DAY_MS);

let dataDir: string;
const open: Db[] = [];
beforeEach(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'lanakit-backup-'));
});
afterEach(() => {
  for (const db of open.splice(0)) if (db.open) db.close();
  rmSync(dataDir, { recursive: true, force: true });
});

function studio(): Db {
  const opened = openDatabase(dataDir, NOW);
  if (!opened.ok) throw new Error(opened.refusal.code);
  open.push(opened.db);
  return opened.db;
}
const insert = (db: Db, id: string) =>
  db.prepare("INSERT INTO picture (id, sha256, mime, width, height, large, small, created_at) VALUES (?, ?, 'image/png', 1, 1, x'00', x'00', '2031-01-01')").run(id, id.padEnd(64, '0')); // prettier-ignore
const idsIn = (file: string): string[] => {
  const db = new Database(file, { readonly: true });
  try {
    return (db.prepare('SELECT id FROM picture ORDER BY id').all() as { id: string }[]).map(({ id }) => id);
  } finally {
    db.close();
  }
};
const files = (folder = backupFolder(dataDir)): string[] => readdirSync(folder).sort();

describe('a backup', () => {
  test('holds what was there at its moment, as one file, and the studio goes on', async () => {
    const db = studio();
    insert(db, 'before');
    const made = await makeBackup(db, backupFolder(dataDir), NOW, 'asked');
    if (!made.ok) throw new Error(made.reason);
    insert(db, 'after');
    expect(idsIn(made.backup.file)).toEqual(['before']);
    expect(files()).toEqual([basename(made.backup.file)]);
    expect(faultOf(made.backup.file)).toBeNull();
    expect(made.backup).toMatchObject({ at: NOW.toISOString(), reason: 'asked' });
  });
  test('is whole although it is written to meanwhile, however often it is tried', async () => {
    const db = studio();
    for (let round = 0; round < 20; round++) {
      const making = makeBackup(db, backupFolder(dataDir), new Date(NOW.getTime() + round), 'asked');
      for (let i = 0; i < 5; i++) insert(db, `r${round} ${i}`);
      const made = await making;
      if (!made.ok) throw new Error(made.reason);
      expect(faultOf(made.backup.file)).toBeNull();
      // One moment: all that was written before it, and of what is written meanwhile all or a beginning.
      expect(idsIn(made.backup.file).length).toBeGreaterThanOrEqual(round * 5);
    }
  });
  test('that cannot be written is none, says why, and leaves nothing behind', async () => {
    const db = studio();
    writeFileSync(join(dataDir, 'taken'), '');
    const made = await makeBackup(db, join(dataDir, 'taken'), NOW, 'daily');
    expect(made).toMatchObject({ ok: false });
    expect(makeBackupAtOnce(db, join(dataDir, 'taken'), NOW, 'daily')).toMatchObject({ ok: false });
  });
  test('a file that is not one of ours is not counted, and not touched', () => {
    const db = studio();
    makeBackupAtOnce(db, backupFolder(dataDir), NOW, 'daily');
    writeFileSync(join(backupFolder(dataDir), 'mine.sqlite'), 'x');
    expect(backupsIn(backupFolder(dataDir))).toHaveLength(1);
    makeBackupAtOnce(db, backupFolder(dataDir), new Date(NOW.getTime() + 900 * DAY_MS), 'daily');
    expect(files()).toContain('mine.sqlite');
  });
  test.each([
    ['cut short', (file: string) => truncateSync(file, 8192)],
    ['a page of noughts', (file: string) => writeFileSync(file, withNoughts(readFileSync(file), 2))],
    ['no database at all', (file: string) => writeFileSync(file, 'hello')],
    ['not there', (file: string) => rmSync(file)],
  ])('%s is found out', (_name, damage) => {
    const made = makeBackupAtOnce(studio(), backupFolder(dataDir), NOW, 'daily');
    if (!made.ok) throw new Error(made.reason);
    damage(made.backup.file);
    expect(faultOf(made.backup.file)).not.toBeNull();
  });
});

const PAGE = 4096;
function withNoughts(bytes: Buffer, page: number): Buffer {
  bytes.fill(0, page * PAGE, (page + 1) * PAGE);
  return bytes;
}

describe('before a newer Lanakit brings a studio forward', () => {
  const older = () => {
    const file = join(dataDir, 'lanakit.sqlite');
    const db = new Database(file);
    db.exec(
      MIGRATIONS.slice(0, 1)
        .filter((step) => typeof step === 'string')
        .join('\n'),
    );
    db.pragma('user_version = 1');
    db.close();
  };
  test('it is backed up as it was', () => {
    older();
    studio();
    const [backup] = backupsIn(backupFolder(dataDir));
    expect(backup?.reason).toBe('before-migration');
    const db = new Database(backup?.file ?? '', { readonly: true });
    open.push(db);
    expect(db.pragma('user_version', { simple: true })).toBe(1);
  });
  test('where it cannot be, nothing is brought forward', () => {
    older();
    writeFileSync(join(dataDir, 'backups'), 'in the way');
    expect(openDatabase(dataDir, NOW)).toMatchObject({ ok: false, refusal: { code: 'backup_failed' } });
    const db = new Database(join(dataDir, 'lanakit.sqlite'), { readonly: true });
    open.push(db);
    expect(db.pragma('user_version', { simple: true })).toBe(1);
  });
  test('a new studio, and one of today, need none', () => {
    studio().close();
    studio();
    expect(backupsIn(backupFolder(dataDir))).toEqual([]);
  });
});

describe('restored', () => {
  async function twoStates() {
    const db = studio();
    insert(db, 'old');
    const made = await makeBackup(db, backupFolder(dataDir), daysAgo(1), 'daily');
    if (!made.ok) throw new Error(made.reason);
    insert(db, 'new');
    return { db, backup: made.backup.file };
  }
  test('the backup is in place, and what was there is kept', async () => {
    const { db, backup } = await twoStates();
    db.close();
    const restored = restoreBackup(dataDir, backup, NOW);
    if (!restored.ok) throw new Error(restored.code);
    expect(idsIn(join(dataDir, 'lanakit.sqlite'))).toEqual(['old']);
    expect(idsIn(restored.keptAs ?? '')).toEqual(['new', 'old']);
    // And taken back the same way.
    expect(restoreBackup(dataDir, restored.keptAs ?? '', new Date(NOW.getTime() + 1)).ok).toBe(true);
    expect(idsIn(join(dataDir, 'lanakit.sqlite'))).toEqual(['new', 'old']);
  });
  test('logs that a kill left beside the old one are not read into the new one', async () => {
    const { db, backup } = await twoStates();
    const file = join(dataDir, 'lanakit.sqlite');
    // As after a kill: the log holds what the file has not yet.
    for (const end of ['', '-wal', '-shm']) copyFileSync(`${file}${end}`, join(dataDir, `killed${end}`));
    db.close();
    for (const end of ['', '-wal', '-shm']) copyFileSync(join(dataDir, `killed${end}`), `${file}${end}`);
    const restored = restoreBackup(dataDir, backup, NOW);
    if (!restored.ok) throw new Error(restored.code);
    expect(idsIn(restored.keptAs ?? '')).toEqual(['new', 'old']);
    expect(readdirSync(dataDir).filter((name) => name.startsWith('lanakit.sqlite-'))).toEqual([]);
    expect(idsIn(file)).toEqual(['old']);
    expect(faultOf(file)).toBeNull();
  });
  test('while it is open nothing is changed, and it says so', async () => {
    const { backup } = await twoStates();
    expect(restoreBackup(dataDir, backup, NOW)).toEqual({ ok: false, code: 'in_use' });
    expect(idsIn(join(dataDir, 'lanakit.sqlite'))).toEqual(['new', 'old']);
  });
  test('a damaged backup is refused, and the studio stays', async () => {
    const { db, backup } = await twoStates();
    db.close();
    truncateSync(backup, PAGE * 3);
    expect(restoreBackup(dataDir, backup, NOW)).toMatchObject({ ok: false, code: 'backup_damaged' });
    expect(restoreBackup(dataDir, join(dataDir, 'gone'), NOW)).toMatchObject({ code: 'backup_damaged' });
    expect(idsIn(join(dataDir, 'lanakit.sqlite'))).toEqual(['new', 'old']);
    expect(readdirSync(dataDir)).not.toContain('lanakit-restoring.sqlite');
  });
  test('a damaged studio is laid aside as it is', async () => {
    const { db, backup } = await twoStates();
    db.close();
    const file = join(dataDir, 'lanakit.sqlite');
    writeFileSync(file, 'hardly anything is left');
    writeFileSync(`${file}-wal`, 'and its log');
    const restored = restoreBackup(dataDir, backup, NOW);
    if (!restored.ok) throw new Error(restored.code);
    expect(readFileSync(restored.keptAs ?? '', 'utf8')).toBe('hardly anything is left');
    expect(readFileSync(`${restored.keptAs}-wal`, 'utf8')).toBe('and its log');
    expect(idsIn(file)).toEqual(['old']);
  });
  test('into a directory with nothing in it', async () => {
    const { db, backup } = await twoStates();
    const elsewhere = join(dataDir, 'taken-along.sqlite');
    copyFileSync(backup, elsewhere);
    db.close();
    rmSync(join(dataDir, 'lanakit.sqlite'));
    expect(restoreBackup(dataDir, elsewhere, NOW)).toEqual({ ok: true, keptAs: null });
    expect(idsIn(join(dataDir, 'lanakit.sqlite'))).toEqual(['old']);
  });
});

describe('which are kept', () => {
  const named = (days: number, reason: NamedBackup['reason'] = 'daily'): NamedBackup => {
    const at = daysAgo(days);
    return { at: at.toISOString(), reason, name: backupName(at, reason) };
  };
  test('a name reads back as its moment and its reason', () => {
    const moment = fc.date({ min: new Date('2020-01-01'), max: new Date('2099-12-31'), noInvalidDate: true });
    fc.assert(
      fc.property(moment, fc.constantFrom(...BACKUP_REASONS), (at, reason) => {
        expect(readBackupName(backupName(at, reason))).toEqual({ at: at.toISOString(), reason });
      }),
    );
  });
  test.each(['lanakit.sqlite', 'mine.sqlite', 'lanakit-2031-13-40T000000000Z-daily.sqlite', 'lanakit-2031-03-08T190000000Z-odd.sqlite'])('%s is not one of ours', (name) =>
    expect(readBackupName(name)).toBeNull(),
  ); // prettier-ignore
  test('four years of a backup a day: all of two days, then days, weeks and months', () => {
    // As it goes: one more each day, and thinned each day.
    let kept: NamedBackup[] = [];
    for (let day = 4 * 365; day >= 0; day--) {
      kept.push(named(day));
      const gone = new Set(thinnedBackups(kept, daysAgo(day)));
      kept = kept.filter(({ name }) => !gone.has(name));
    }
    const ages = kept.map(({ at }) => (NOW.getTime() - Date.parse(at)) / DAY_MS).sort((a, b) => a - b);
    for (let day = 0; day < 14; day++) expect(ages).toContain(day);
    // Nowhere a hole wider than what stands for it.
    for (const [index, age] of ages.entries()) {
      const next = ages[index + 1];
      if (next !== undefined) expect(next - age).toBeLessThanOrEqual(age < 14 ? 8 : age < 70 ? 15 : 62);
    }
    expect(ages.at(-1)).toBeGreaterThan(4 * 365 - 62);
    expect(kept.length).toBeLessThan(14 + 10 + 49);
  });
  test('the newest never goes, whatever its age', () =>
    expect(thinnedBackups([named(4000)], NOW)).toEqual([]));
  test('of hundreds asked for in a day the newest stay, and one of each hour; what was made before something stays too', () => {
    const minutesAgo = (minutes: number, reason: NamedBackup['reason']) => named(minutes / 1440, reason);
    const asked = Array.from({ length: 600 }, (_, minute) => minutesAgo(minute, 'asked'));
    const before = minutesAgo(333.5, 'before-restore');
    const gone = new Set(thinnedBackups([...asked, before], NOW));
    const kept = asked.filter(({ name }) => !gone.has(name));
    expect(gone.has(before.name)).toBe(false);
    // Ten hours, begun and ended within one: eleven of the clock’s.
    expect(kept.length).toBeLessThanOrEqual(24 + 11);
    expect(kept.slice(0, 24)).toEqual(asked.slice(0, 24));
    const ages = kept.map(({ at }) => (NOW.getTime() - Date.parse(at)) / 3_600_000);
    for (const [index, age] of ages.entries())
      expect((ages[index + 1] ?? age) - age).toBeLessThanOrEqual(1.02);
  });
  test('what was made before something was done stays for ten weeks', () => {
    const all = [
      named(0),
      named(30),
      named(30.2, 'before-restore'),
      named(30.1, 'before-migration'),
      named(30.3),
    ];
    expect(thinnedBackups(all, NOW)).toEqual([named(30.3).name]);
    expect(thinnedBackups([named(0), named(80), named(80.1, 'asked')], NOW)).toHaveLength(1);
  });
  test.each([
    ['never made', null, 0, 0, true],
    ['a day ago, and written since', daysAgo(1), 0.5, 0, true],
    ['a day ago, and nothing since', daysAgo(1), 1.5, 0, false],
    ['this morning', daysAgo(0.5), 0, 0, false],
  ])('is due: %s', (_name, newest, writtenDaysAgo, _rest, isDue) => {
    expect(isBackupDue(newest?.toISOString() ?? null, daysAgo(writtenDaysAgo).getTime(), NOW.getTime())).toBe(
      isDue,
    );
  });
});
