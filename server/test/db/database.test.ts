import { describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createStore, migrate, openDatabase, viewOf } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';
import { ITEM_KINDS } from '../../src/services/itemKinds.ts';
import { loadDemo } from '@lanakit/demo';
import { createServices } from '../../src/services/index.ts';
import { workshopHere } from '../../src/workers/workshop.ts';
import { estimatePattern, WOOL_ROLES, woolOnShelf } from '@lanakit/core/engine';
import {
  BLANK_STEP,
  blankPart,
  blankPattern,
  blankUse,
  checkPattern,
  missingForPublishing,
  OWN_RIGHTS,
  type Pattern,
  isWool,
  PATTERN_FORMAT,
} from '@lanakit/core/pattern';
import { blankSeat, checkRun, RunInput } from '@lanakit/core/run';
import { BLANK_TOOL, byGauge, checkFibre, type Fibre } from '@lanakit/core/shelf';
import { NOW, fibreInput } from '../support/studio.ts';

const freshDir = () => mkdtempSync(join(tmpdir(), 'lanakit-db-'));

describe('opening', () => {
  test('makes the directory and the tables, once', () => {
    const dir = join(freshDir(), 'a', 'b');
    const first = openDatabase(dir);
    expect(first).toMatchObject({ ok: true });
    if (first.ok) first.db.close();
    const again = openDatabase(dir);
    expect(again).toMatchObject({ ok: true });
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

/** A document as the first format had it. */
const BALL_OF_FIRST = JSON.stringify({
  format: 'lanakit-pattern',
  formatVersion: 1,
  title: 'Ball',
  finishedHeight: null,
  level: 'first-timer',
  lengthUnit: 'mm',
  parts: [
    {
      id: 'p1',
      name: 'Ball',
      shape: { kind: 'ball', diameter: { value: 60, unit: 'mm' } },
      count: 2,
      firmness: 'firm',
      core: { fibreId: 'bare' },
      coat: { fibreId: 'moss' },
    },
  ],
  steps: [],
});

/** A document of the fourth format, as bare as one can be. */
const BARE_FOURTH = JSON.stringify({
  formatVersion: 4,
  swaps: [],
  parts: [],
  joins: [],
  cuts: [],
  findings: [],
  steps: [],
  shared: [],
  techniques: [],
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
  test('needles by gauge alone, in patterns and techniques, are carried over; their guards are back in place', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 4));
    const needle = { by: 'gauge', gauge: 36 };
    const step = { ...BLANK_STEP, id: 's', text: 'Felt it.', needle };
    const { school: _school, ...blank } = blankPattern('Ball');
    const third = { ...blank, formatVersion: 3, steps: [step], stageNeedles: [{ stage: 'core', gauge: 38 }] };
    const technique = { name: 'Rolled limb', steps: [{ needle }, { needle: { by: 'stage' } }] };
    old
      .prepare(
        `INSERT INTO pattern (id, document, created_at, updated_at) VALUES ('p', ?, '2026-01-01', '2026-01-01')`,
      )
      .run(JSON.stringify(third));
    old.exec(`INSERT INTO technique (id, created_at) VALUES ('t', '2026-01-01')`);
    old
      .prepare(
        `INSERT INTO technique_version (technique_id, version, document, created_at) VALUES ('t', 1, ?, '2026-01-01')`,
      )
      .run(JSON.stringify(technique));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const store = createStore(opened.db);
    expect(store.patterns.find('p')?.document).toEqual({
      ...blankPattern('Ball'),
      steps: [{ ...step, needle: byGauge(36) }],
      stageNeedles: [{ stage: 'core', needle: byGauge(38) }],
    });
    expect(store.techniques.find('t')?.steps.map((ownStep) => ownStep.needle)).toEqual([
      byGauge(36),
      { by: 'stage' },
    ]);
    expect(() => opened.db.exec('UPDATE technique_version SET version = 9')).toThrow(/cannot be changed/);
    opened.db.close();
  });
  test('runs of the version before are carried over with their rosters and needle counts; the names in them still hold', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 7));
    const roster = [{ ...blankSeat(2), name: 'Mara', isLeftHanded: true }];
    old.exec(`
      INSERT INTO pattern (id, document, created_at, updated_at) VALUES ('p', '${BARE_FOURTH}', '2026-01-01', '2026-01-01');
      INSERT INTO revision (id, pattern_id, number, document, published_at) VALUES ('r', 'p', 1, '${BARE_FOURTH}', '2026-01-01');
      INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES ('n', 'needle', '38', '{}', '2026-01-01', '2026-01-01');
      INSERT INTO run (id, version, name, date, seats, spare_packs, revision_id, scale_step_g, extra_fraction, skill, wanted_chance, created_at, updated_at)
      VALUES ('c', 5, 'Saturday', '2026-12-05', 11, 2, 'r', 0.1, 0.15, 'first-timer', 0.95, '2026-01-01', '2026-01-02'),
             ('gone', 1, 'Gone', '2026-12-06', 1, 0, 'r', 1, 0.1, 'some', NULL, '2026-01-01', '2026-01-02');
      UPDATE run SET deleted_at = '2026-02-01' WHERE id = 'gone';
      INSERT INTO needle_tap (tap_key, run_id, needle_id, pile, amount, at) VALUES ('k', 'c', 'n', 'out', 3, '2026-01-03');`);
    old.prepare(`UPDATE run SET roster = ? WHERE id = 'c'`).run(JSON.stringify(roster));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const store = createStore(opened.db);
    const [run, ...others] = store.runs.all();
    expect(others).toEqual([]);
    expect(run).toMatchObject({ id: 'c', version: 5, kind: 'class', state: 'planned', seats: 11, sparePacks: 2, roster, skill: 'first-timer', wantedChance: 0.95, extraFraction: 0.15 });
    expect(run && checkRun(run)).toEqual([]);
    expect(new Set(Object.keys(run ?? {}))).toEqual(new Set([...Object.keys(RunInput.properties), 'id', 'version', 'state']));
    expect(store.trays.taps('c')).toEqual([{ needleId: 'n', pile: 'out', amount: 3 }]);
    expect(store.runs.restore('gone')).toBe(true);
    expect(opened.db.pragma('foreign_key_check')).toEqual([]);
    expect(opened.db.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(() => opened.db.exec(`INSERT INTO run_revision VALUES ('c', 'nowhere')`)).toThrow('FOREIGN KEY');
    opened.db.close();
  }); // prettier-ignore
  test('a use of a technique takes the rights of the version it was written from; where that is not known, its credit alone', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 9));
    const { showsBothUnits: _both, ...blank } = blankPattern('Ball');
    const useOf = (id: string, techniqueId: string, credit: string) => ({ id, techniqueId, name: 'Limb', version: 2, partIds: [], values: [], credit });
    const fifth = JSON.stringify({ ...blank, formatVersion: 5, techniques: [useOf('a', 't', 'after Ilse'), useOf('b', 'far', 'after Ilse'), useOf('c', 'far', '')] });
    const learned = { ...OWN_RIGHTS, origin: 'learned', from: 'Ilse', credit: 'after Ilse' };
    old.prepare(`INSERT INTO pattern (id, document, created_at, updated_at) VALUES ('p', ?, '2026-01-01', '2026-01-01')`).run(fifth);
    old.prepare(`INSERT INTO revision (id, pattern_id, number, document, published_at) VALUES ('r', 'p', 1, ?, '2026-01-01')`).run(fifth);
    old.exec(`INSERT INTO technique (id, created_at) VALUES ('t', '2026-01-01')`);
    old.prepare(`INSERT INTO technique_version (technique_id, version, document, created_at) VALUES ('t', 2, ?, '2026-01-01')`).run(JSON.stringify({ name: 'Limb', rights: learned, steps: [] }));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const rightsIn = (document: Pattern | undefined) => document?.techniques.map(({ rights }) => [rights.origin, rights.from, rights.credit]);
    const expected = [['learned', 'Ilse', 'after Ilse'], ['unknown', '', 'after Ilse'], ['own', '', '']];
    expect(rightsIn(createStore(opened.db).patterns.find('p')?.document)).toEqual(expected);
    expect(rightsIn(createStore(opened.db).patterns.findRevision('r')?.document)).toEqual(expected);
    expect(() => opened.db.exec(`UPDATE revision SET number = 9`)).toThrow(/cannot be changed/);
    opened.db.close();
  }); // prettier-ignore
  test('what is taken in a swap, and what a tool is, are told as they are opened; a revision cannot be changed after', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 10));
    const swap = (id: string, of: object, toItemId: string | null) => ({ id, of, toItemId, amountFactor: 1, moreMinutes: 0, steps: [], look: id });
    const dots = blankUse('spots', 'dot', 'f');
    const sixth = JSON.stringify({
      ...blankPattern('Ball'),
      formatVersion: 6,
      parts: [{ ...blankPart('p1', 'Ball'), uses: [dots] }],
      swaps: [swap('a', { kind: 'use', id: 'spots' }, 'g'), swap('b', { kind: 'finding', id: 'eyes' }, 'bead'), swap('c', { kind: 'join', id: 'j' }, null)],
    });
    old.prepare(`INSERT INTO pattern (id, document, created_at, updated_at) VALUES ('p', ?, '2026-01-01', '2026-01-01')`).run(sixth);
    old.prepare(`INSERT INTO revision (id, pattern_id, number, document, published_at) VALUES ('r', 'p', 1, ?, '2026-01-01')`).run(sixth);
    const tool = old.prepare(`INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES (?, 'tool', ?, ?, '2026-01-01', '2026-01-01')`);
    const { standsFor: _none, name: _name, archived: _archived, ...properties } = BLANK_TOOL;
    for (const [id, name, sort] of [['pad', 'Grey pad', 'surface'], ['snips', 'Scissors, small', 'tool'], ['loom', 'Loom', 'tool']] as const) {
      tool.run(id, name, JSON.stringify({ ...properties, sort }));
    }
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const store = createStore(opened.db);
    const expected = [{ kind: 'fibre', fibreId: 'g' }, { kind: 'finding', findingId: 'bead' }, { kind: 'fibre', fibreId: null }];
    for (const document of [store.patterns.find('p')?.document, store.patterns.findRevision('r')?.document]) {
      expect(document?.formatVersion).toBe(PATTERN_FORMAT);
      expect(document?.swaps.map(({ to }) => to)).toEqual(expected);
    }
    expect(Object.fromEntries(store.shelf.tools().map(({ id, standsFor }) => [id, standsFor]))).toEqual({ pad: 'surface', snips: 'scissors', loom: null });
    expect(() => opened.db.exec(`UPDATE revision SET number = 9`)).toThrow(/cannot be changed/);
    opened.db.close();
  }); // prettier-ignore
  test('a migration that leaves a name of nothing is undone whole', () => {
    const db = new Database(':memory:');
    db.pragma('foreign_keys = ON');
    const broken = `CREATE TABLE a (id TEXT PRIMARY KEY) STRICT; CREATE TABLE b (a TEXT REFERENCES a (id)) STRICT; INSERT INTO b VALUES ('nowhere');`;
    expect(() => migrate(db, [broken])).toThrow('b names a a that is not there');
    expect(db.prepare(`SELECT count(*) FROM sqlite_master`).pluck().get()).toBe(0);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
  });
  test('a shelf of the first slice is carried over: fibres, their stock, what is deleted, and what uses them', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 1));
    old.exec(`
      INSERT INTO fibre (id, version, name, preparation, colour, linear_g_per_m, staple_mm, price_per_100g_minor, is_archived, created_at, updated_at, deleted_at)
      VALUES ('moss', 4, 'Moss', 'tops', '#6b7d36', 21.5, 70, 540, 1, '2026-01-01', '2026-01-02', NULL),
             ('bare', 1, 'Bare', 'batt', '#888888', NULL, NULL, NULL, 0, '2026-01-01', '2026-01-01', NULL),
             ('gone', 1, 'Gone', 'batt', '#888888', NULL, NULL, NULL, 0, '2026-01-01', '2026-01-01', '2026-02-01');
      INSERT INTO stock_movement (fibre_id, mass_mg, reason, at) VALUES ('moss', 50000, 'received', '2026-01-01'), ('moss', -32000, 'counted', '2026-02-01');
      INSERT INTO pattern (id, document, created_at, updated_at) VALUES ('p', '${BALL_OF_FIRST}', '2026-01-01', '2026-01-01');
      INSERT INTO revision (id, pattern_id, number, document, published_at) VALUES ('r', 'p', 1, '${BALL_OF_FIRST}', '2026-01-01');
      INSERT INTO pattern_fibre VALUES ('p', 'moss');
      INSERT INTO revision_fibre VALUES ('r', 'moss');`);
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error('not opened');
    const store = createStore(opened.db);
    expect(store.shelf.fibres().map(({ id }) => id)).toEqual(['bare', 'moss']);
    expect(store.shelf.fibre('moss')).toMatchObject({
      version: 4,
      name: 'Moss',
      preparation: 'tops',
      linearGPerM: 21.5,
      stapleMm: 70,
      pricePer100gMinor: 540,
      archived: true,
      onHandG: 18,
      peakG: 50,
      lots: [{ name: 'first lot', onHandG: 18 }],
    });
    expect(store.shelf.fibre('bare')).toMatchObject({ onHandG: null, lots: [] });
    expect(store.items.uses('moss')).toMatchObject([{ revisionNumber: null }, { revisionNumber: 1 }]);
    expect(store.items.restore('gone')).toBe(true);
    expect(checkFibre(store.shelf.fibre('moss') as Fibre)).toEqual([]);
    const document = store.patterns.find('p')?.document;
    expect(document && checkPattern(document)).toEqual([]);
    expect(document?.parts[0]?.uses).toMatchObject([
      { role: 'core', fibreId: 'bare' },
      { role: 'coat', fibreId: 'moss', cover: { kind: 'all' } },
    ]);
    expect(store.patterns.findRevision('r')?.document).toEqual(document);
    expect(() => opened.db.prepare(`UPDATE revision SET number = 9`).run()).toThrow('cannot be changed');
    expect(opened.db.pragma('foreign_key_check')).toEqual([]);
    opened.db.close();
  });
});

test('what was acknowledged is there after the process is gone without a goodbye', () => {
  const dir = freshDir();
  const first = openDatabase(dir);
  if (!first.ok) throw new Error('not opened');
  createStore(first.db).items.insert(
    'f',
    { kind: 'fibre', name: 'Chalk', input: fibreInput(), links: [] },
    NOW.toISOString(),
  );
  // Opened again beside the first, which is never closed: as after a kill, only the file and its log are left.
  const second = openDatabase(dir);
  if (!second.ok) throw new Error('not opened');
  expect(createStore(second.db).shelf.fibre('f')?.name).toBe('Chalk');
  first.db.close();
  second.db.close();
});

test('the demo studio is whole: everything stored is possible, and every screen has something true to show', () => {
  const opened = openDatabase(freshDir());
  if (!opened.ok) throw new Error('not opened');
  let ids = 0;
  const store = createStore(opened.db);
  const newId = () => `d${++ids}`;
  loadDemo((at) => createServices({ store, now: () => at, newId, work: workshopHere(), dataDir: '' }), NOW);
  const view = viewOf(store.shelf);
  expect({
    fibres: view.fibres.length,
    blends: view.blends.filter(({ asFibre }) => asFibre !== null).length,
    findings: view.findings.length,
    needles: view.needles.length,
    suppliers: view.suppliers.length,
  }).toEqual({ fibres: 28, blends: 3, findings: 25, needles: 10, suppliers: 4 });
  for (const spec of Object.values(ITEM_KINDS)) {
    for (const item of spec.all(store)) expect(spec.check(item, item.id, store)).toEqual([]);
  }
  const shelf = {
    fibres: woolOnShelf(view.fibres, view.blends),
    findings: new Map(view.findings.map((finding) => [finding.id, finding])),
    handMeasures: store.stock.handMeasures(),
    learnt: null,
  };
  const drafts = store.patterns.page(null, 50);
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
  const estimates = drafts.map(({ document }) => estimatePattern(document, shelf));
  const roles = new Set(estimates.flatMap(({ uses }) => uses.map(({ role }) => role)));
  expect([...roles].sort()).toEqual([...WOOL_ROLES].sort());
  const parts = drafts.flatMap(({ document }) => document.parts);
  const uses = parts.flatMap((part) => part.uses);
  expect(uses.some(({ role }) => role === 'insert')).toBe(true);
  expect(parts.some(({ shape }) => shape.kind === 'sleeve')).toBe(true);
  expect(uses.some((use) => use.role === 'coat' && use.cover.kind === 'patch')).toBe(true);
  const forms = new Set(uses.flatMap((use) => (isWool(use) && use.amount ? [use.amount.form] : [])));
  for (const form of ['hand', 'trimmings', 'shared', 'relative', 'equal-part'] as const)
    expect(forms).toContain(form);
  expect(drafts.filter(({ document }) => missingForPublishing(document).length > 0)).toHaveLength(1);
  const all = store.runs.all();
  const [past, ahead] = [
    all.filter(({ state }) => state === 'done'),
    all.filter(({ state }) => state !== 'done'),
  ];
  expect(ahead.every((run) => run.date > '2026-11-24')).toBe(true);
  expect(past.map(({ name }) => name)).toEqual(['December pears', 'Autumn pears']);
  expect(store.trays.missing()).toMatchObject([{ runId: past.at(-1)?.id, missing: 1 }]);
  opened.db.close();
});
