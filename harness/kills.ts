import Database from 'better-sqlite3';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { backupFolder, backupsIn, migrate } from '../server/src/db/index.ts';
import { MIGRATIONS } from '../server/src/db/migrations/index.ts';
import { Chance } from './random.ts';
import type { Report } from './report.ts';
import { faultsOf, pause, Studio, within } from './studio.ts';

/** What the demo puts there. */
const DEMO_PATTERNS = 5;

interface Trial {
  readonly chance: Chance;
  /** A studio with the demo, to begin with a copy of. */
  readonly template: string;
  round: number;
  readonly faults: string[];
  acknowledged: number;
}

/** Kills Lanakit at random moments of everything that writes, and looks whether anything that was acknowledged is gone. */
export async function kills(count: number, seed: number): Promise<Report> {
  const template = freshDir();
  const first = await Studio.started(template, true);
  await first.stop();
  const trial: Trial = { chance: new Chance(seed), template, round: 0, faults: [], acknowledged: 0 };
  const told: Record<string, number> = {};
  for (let round = 0; round < count; round++) {
    const [name, work] = MOMENTS[round % MOMENTS.length] ?? MOMENTS[0];
    const dataDir = freshDir();
    try {
      trial.round = round;
      await work(trial, dataDir);
    } catch (error) {
      trial.faults.push(`${name}, round ${round}: ${error instanceof Error ? error.message : String(error)}`);
    }
    await Studio.killAll();
    told[name] = (told[name] ?? 0) + 1;
    rmSync(dataDir, { recursive: true, force: true });
  }
  rmSync(template, { recursive: true, force: true });
  return {
    name: 'kills',
    figures: { kills: count, ...told, 'acknowledged writes': trial.acknowledged, seed },
    faults: trial.faults,
  };
}

const freshDir = (): string => mkdtempSync(join(tmpdir(), 'lanakit-kill-'));

/** What it is killed in, and what must hold afterwards. */
const MOMENTS = [
  ['writing', killedWriting],
  ['starting', killedStarting],
  ['migrating', killedMigrating],
  ['backing up', killedBackingUp],
  ['putting back', killedPuttingBack],
  ['bringing in', killedBringingIn],
] as const;

function expectSound({ faults, round }: Trial, dataDir: string, moment: string): void {
  for (const fault of faultsOf(dataDir)) faults.push(`${moment}, round ${round}: ${fault}`);
}

/** Writes as fast as they are answered, and counts what was acknowledged by what can be found again. */
async function killedWriting(trial: Trial, dataDir: string): Promise<void> {
  cpSync(trial.template, dataDir, { recursive: true });
  const studio = await Studio.started(dataDir);
  const shelf = (await studio.get('/fibres')).body as { items: { id: string; lots: { id: string }[] }[] };
  const lots = shelf.items.flatMap(({ id, lots: [lot] }) => (lot ? [{ itemId: id, lotId: lot.id }] : []));
  const [document] = ((await studio.get('/patterns')).body as { items: { document: { title: string } }[] })
    .items;
  const runs = (await studio.get('/runs')).body as { items: { id: string }[] };
  const notes = new Set<string>();
  const titles = new Set<string>();
  const ticks = new Set<string>();
  let isOver = false;
  // What is only ready after the first of each is not what is tried.
  await studio.send('POST', '/patterns', { ...document?.document, title: 'first' });
  const writer = async (who: number) => {
    for (let at = 0; !isOver; at++) {
      const token = `r${trial.round}w${who}n${at}`;
      const what = trial.chance.whole(0, 2);
      const { status } =
        what === 0
          ? await studio.send(
              'POST',
              '/stock/movements',
              { ...trial.chance.pick(lots), reason: 'received', amount: 1, note: token },
              { 'Idempotency-Key': token },
            )
          : what === 1
            ? await studio.send('POST', '/patterns', { ...document?.document, title: token })
            : await studio.send('POST', `/runs/${trial.chance.pick(runs.items).id}/ticks`, {
                key: token,
                mark: token,
                isDone: true,
                massG: 1,
              });
      if (status >= 300) throw new Error(`writing ${what} was answered ${status}`);
      (what === 0 ? notes : what === 1 ? titles : ticks).add(token);
      trial.acknowledged += 1;
    }
  };
  const writers = [0, 1, 2].map((who) => writer(who).catch((error: unknown) => (isOver ? undefined : error)));
  await pause(trial.chance.whole(5, 400));
  isOver = true;
  await studio.kill();
  for (const fault of await Promise.all(writers))
    if (fault instanceof Error && !isUnreached(fault)) throw fault;
  expectSound(trial, dataDir, 'writing');
  within(dataDir, (db) => {
    const missing = (tokens: ReadonlySet<string>, sql: string) => {
      const there = new Set(db.prepare<[], string>(sql).pluck().all());
      for (const token of tokens)
        if (!there.has(token)) trial.faults.push(`writing: ${token} was acknowledged and is gone`);
    };
    missing(notes, 'SELECT note FROM movement');
    missing(titles, 'SELECT title FROM pattern');
    missing(ticks, 'SELECT mark FROM run_tick');
  });
}

const isUnreached = (error: Error): boolean => error.name === 'TypeError' || error.name === 'TimeoutError';

/** Whenever its first start ends, the next one is a first start, until one goes through. */
async function killedStarting(trial: Trial, dataDir: string): Promise<void> {
  const studio = Studio.spawned(dataDir, true);
  await pause(trial.chance.whole(60, 700));
  await studio.kill();
  const again = await Studio.started(dataDir, true);
  const { items } = (await again.get('/patterns')).body as { items: unknown[] };
  await again.stop();
  if (items.length !== DEMO_PATTERNS)
    trial.faults.push(`starting, round ${trial.round}: ${items.length} patterns`);
  expectSound(trial, dataDir, 'starting');
}

/** A studio of the version before, brought forward: all of it is there, and its backup was whole before it began. */
async function killedMigrating(trial: Trial, dataDir: string): Promise<void> {
  const rows = oldStudio(trial, dataDir);
  const studio = Studio.spawned(dataDir, false);
  await pause(trial.chance.whole(60, 600));
  await studio.kill();
  const again = await Studio.started(dataDir);
  await again.stop();
  expectSound(trial, dataDir, 'migrating');
  within(dataDir, (db) => {
    if (db.pragma('user_version', { simple: true }) !== MIGRATIONS.length)
      trial.faults.push(`migrating, round ${trial.round}: it is not of today`);
    for (const [table, count] of Object.entries(rows)) {
      const now = db.prepare(`SELECT count(*) FROM ${table}`).pluck().get();
      if (now !== count)
        trial.faults.push(`migrating, round ${trial.round}: ${table} has ${String(now)} of ${count}`);
    }
  });
  expectWholeBackups(trial, dataDir, 'migrating');
}

const OLD_VERSION = 11;

/** The demo as the version before had it, with a ledger long enough for bringing it forward to take a while. */
function oldStudio({ template }: Trial, dataDir: string): Record<string, number> {
  mkdirSync(dataDir, { recursive: true });
  const db = new Database(join(dataDir, 'lanakit.sqlite'));
  db.pragma('journal_mode = WAL');
  migrate(db, MIGRATIONS.slice(0, OLD_VERSION));
  db.prepare('ATTACH ? AS today').run(join(template, 'lanakit.sqlite'));
  db.pragma('foreign_keys = OFF');
  const counts: Record<string, number> = {};
  for (const table of ['item', 'lot', 'pattern', 'revision', 'run', 'run_revision', 'movement']) {
    const columns = (db.pragma(`main.table_info(${table})`) as { name: string }[])
      .map(({ name }) => name)
      .join(', ');
    db.exec(`INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM today.${table}`);
  }
  db.exec(`
    INSERT INTO main.movement (item_id, lot_id, amount_milli, reason, note, at)
    WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 20000)
    SELECT item_id, lot_id, 1000, 'received', '', '2026-01-01' FROM n, (SELECT item_id, lot_id FROM main.movement LIMIT 1)`);
  for (const table of ['item', 'lot', 'pattern', 'revision', 'run', 'movement'])
    counts[table] = db.prepare<[], number>(`SELECT count(*) FROM main.${table}`).pluck().get() ?? 0;
  db.exec('DETACH today');
  db.close();
  return counts;
}

/** What has a backup’s name is whole, whenever its making was ended. */
function expectWholeBackups({ faults, round }: Trial, dataDir: string, moment: string): void {
  for (const { file } of backupsIn(backupFolder(dataDir))) {
    const db = new Database(file, { readonly: true });
    if (db.pragma('integrity_check(1)', { simple: true }) !== 'ok')
      faults.push(`${moment}, round ${round}: ${basename(file)} is not whole`);
    db.close();
  }
}

async function killedBackingUp(trial: Trial, dataDir: string): Promise<void> {
  cpSync(trial.template, dataDir, { recursive: true });
  const studio = await Studio.started(dataDir);
  const asked = studio.send('POST', '/backups', {}).catch(() => null);
  await pause(trial.chance.whole(0, 250));
  await studio.kill();
  const answer = await asked;
  expectSound(trial, dataDir, 'backing up');
  expectWholeBackups(trial, dataDir, 'backing up');
  if (answer?.status === 201 && backupsIn(backupFolder(dataDir)).length === 0)
    trial.faults.push(`backing up, round ${trial.round}: it was acknowledged and is gone`);
}

/** Put back in the middle of it: the studio is wholly as it was, or wholly as it was to be. */
async function killedPuttingBack(trial: Trial, dataDir: string): Promise<void> {
  cpSync(trial.template, dataDir, { recursive: true });
  const studio = await Studio.started(dataDir);
  const { name } = (await studio.send('POST', '/backups', {})).body as { name: string };
  const [pattern] = ((await studio.get('/patterns')).body as { items: { id: string; version: number }[] })
    .items;
  await studio.send('DELETE', `/patterns/${pattern?.id}`, {}, { 'If-Match': `"${pattern?.version}"` });
  const asked = studio.send('POST', `/backups/${name}/put-back`, { thing: null }).catch(() => null);
  await pause(trial.chance.whole(0, 350));
  await studio.kill();
  const answer = await asked;
  expectSound(trial, dataDir, 'putting back');
  expectWholeBackups(trial, dataDir, 'putting back');
  const [patterns, revisions, guards] = within(dataDir, (db) => [
    db.prepare<[], number>('SELECT count(*) FROM pattern WHERE deleted_at IS NULL').pluck().get(),
    db.prepare<[], number>('SELECT count(*) FROM revision').pluck().get(),
    db.prepare<[], number>("SELECT count(*) FROM sqlite_master WHERE type = 'trigger'").pluck().get(),
  ]);
  const wanted = within(trial.template, (db) => [
    db.prepare<[], number>('SELECT count(*) FROM revision').pluck().get(),
    db.prepare<[], number>("SELECT count(*) FROM sqlite_master WHERE type = 'trigger'").pluck().get(),
  ]);
  const isBefore = patterns === DEMO_PATTERNS - 1;
  const isAfter = patterns === DEMO_PATTERNS;
  if (
    !(isBefore || isAfter) ||
    revisions !== wanted[0] ||
    guards !== wanted[1] ||
    (answer?.status === 200 && !isAfter)
  )
    trial.faults.push(
      `putting back, round ${trial.round}: ${patterns} patterns, ${revisions} revisions, ${guards} guards`,
    );
  const again = await Studio.started(dataDir);
  await again.stop();
  if (readdirSync(dataDir).some((file) => file.startsWith('looking-')))
    trial.faults.push(`putting back, round ${trial.round}: files are left lying about`);
}

/** A whole studio brought into an empty one: all of it is there, or nothing; what came in between lies about no longer. */
async function killedBringingIn(trial: Trial, dataDir: string): Promise<void> {
  const from = freshDir();
  cpSync(trial.template, from, { recursive: true });
  const sender = await Studio.started(from);
  const zip = (await sender.get('/studio-file')).body as Buffer;
  await sender.stop();
  rmSync(from, { recursive: true, force: true });
  const studio = await Studio.started(dataDir);
  const read = await studio.ask({
    method: 'POST',
    path: '/api/studio-files',
    body: zip,
    headers: { 'Content-Type': 'application/octet-stream' },
  });
  const { id } = read.body as { id: string };
  const asked = studio.send('POST', `/studio-files/${id}/brought-in`, { mapping: [] }).catch(() => null);
  await pause(trial.chance.whole(0, 250));
  await studio.kill();
  const answer = await asked;
  expectSound(trial, dataDir, 'bringing in');
  const rowsIn = (dir: string) =>
    within(dir, (db) =>
      ['item', 'movement', 'pattern', 'revision', 'run', 'run_tick', 'history'].map((table) =>
        db.prepare<[], number>(`SELECT count(*) FROM ${table}`).pluck().get(),
      ),
    );
  const rows = rowsIn(dataDir);
  const isNothing = rows.every((count) => count === 0);
  const isAll = String(rows) === String(rowsIn(trial.template));
  if (!(isAll || isNothing) || (answer?.status === 200 && !isAll))
    trial.faults.push(`bringing in, round ${trial.round}: ${String(rows)} rows`);
}
