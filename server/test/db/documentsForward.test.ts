import { describe, expect, test } from '@jest/globals';
import {
  blankJoin,
  blankCut,
  blankPart,
  blankPattern,
  blankUse,
  checkPattern,
  PATTERN_FORMAT,
  type UseOf,
} from '@lanakit/core/pattern';
import Database from 'better-sqlite3';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createStore, migrate, openDatabase } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';
import { sealOf } from '../../src/db/sealed.ts';

const freshDir = () => mkdtempSync(join(tmpdir(), 'lanakit-db-'));

describe('documents of patterns are brought forward', () => {
  test('nothing has a place at first; a document that is damaged stays as it is, and stays known as damaged', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 15));
    const { stance: _stance, poses: _poses, proportions: _proportions, enclosures: _enclosures, drawnStepIds: _drawn, ...bare } = blankPattern('Ball');
    const { placement: _placement, ...ball } = blankPart('p1', 'Ball');
    const { placement: _none, ...dots } = blankUse('spots', 'dot', 'f') as UseOf<'dot'>;
    const seventh = JSON.stringify({ ...bare, formatVersion: 7, parts: [{ ...ball, uses: [dots] }], findings: [{ id: 'e', findingId: null, partId: null, count: 2 }] });
    const write = old.prepare(`INSERT INTO pattern (id, document, document_seal, created_at, updated_at) VALUES (?, ?, ?, '2026-01-01', '2026-01-01')`);
    write.run('whole', seventh, sealOf(seventh));
    write.run('changed', seventh.replace('Ball', 'Bald'), sealOf(seventh));
    old.prepare(`INSERT INTO revision (id, pattern_id, number, document, document_seal, published_at) VALUES ('r', 'whole', 1, ?, ?, '2026-01-01')`).run(seventh, sealOf(seventh));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const { patterns } = createStore(opened.db);
    for (const document of [patterns.find('whole')?.document, patterns.findRevision('r')?.document]) {
      expect(document).toMatchObject({ formatVersion: PATTERN_FORMAT, stance: null, poses: [], proportions: [], enclosures: [], drawnStepIds: [], parts: [{ placement: null, uses: [{ placement: null }] }], findings: [{ placement: null }] });
      expect(document && checkPattern(document)).toEqual([]);
    }
    const textOf = (id: string) => opened.db.prepare<[string], string>('SELECT document FROM pattern WHERE id = ?').pluck().get(id);
    expect(textOf('changed')).toBe(seventh.replace('Ball', 'Bald'));
    expect(() => patterns.find('changed')).toThrow();
    // What a list shows of it is no change of it.
    opened.db.exec(`UPDATE revision SET is_wool_only = 1`);
    expect(() => opened.db.exec(`UPDATE revision SET number = 9`)).toThrow(/cannot be changed/);
    opened.db.close();
  }); // prettier-ignore
  test('a document of the eighth format is brought forward, its places with it; published ones stay closed', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 16));
    const { poses: _poses, proportions: _proportions, enclosures: _enclosures, drawnStepIds: _drawn, ...bare } = blankPattern('Owl');
    const placement = { rule: 'mirror', spanDeg: 360, heldBy: 'base', places: [{ aroundDeg: 40, heightFraction: 0.5, leanUpDeg: 0, leanAsideDeg: 0, twistDeg: 0 }] };
    const { slot: _slot, acrossBy: _by, ...wing } = { ...blankJoin('j', 'wing', 'body'), placement };
    const { seat: _seat, ...feeler } = blankCut('feeler', 'whisker');
    const eighth = JSON.stringify({
      ...bare,
      formatVersion: 8,
      parts: [blankPart('body', 'Body'), { ...blankPart('wing', 'Wing'), count: 2 }],
      joins: [wing],
      cuts: [feeler],
      stance: { rests: 'sits', pitchDeg: 10, rollDeg: 0, yawDeg: 0, flatAcross: null, hangAt: null },
    });
    old.prepare(`INSERT INTO pattern (id, document, document_seal, created_at, updated_at) VALUES ('owl', ?, ?, '2026-01-01', '2026-01-01')`).run(eighth, sealOf(eighth));
    old.prepare(`INSERT INTO revision (id, pattern_id, number, document, document_seal, published_at) VALUES ('r', 'owl', 1, ?, ?, '2026-01-01')`).run(eighth, sealOf(eighth));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const { patterns } = createStore(opened.db);
    for (const document of [patterns.find('owl')?.document, patterns.findRevision('r')?.document]) {
      expect(document).toMatchObject({ formatVersion: PATTERN_FORMAT, poses: [], proportions: [], enclosures: [], drawnStepIds: [], stance: { rests: 'sits', pitchDeg: 10 } });
      expect(document?.joins).toEqual([{ ...wing, slot: null, acrossBy: 'thickness' }]);
      expect(document?.cuts).toEqual([blankCut('feeler', 'whisker')]);
      expect(document && checkPattern(document)).toEqual([]);
    }
    expect(() => opened.db.exec(`UPDATE revision SET number = 9`)).toThrow(/cannot be changed/);
    opened.db.close();
  }); // prettier-ignore
  test('one of the eleventh format stands alone, and what it says of others later is found without reading it', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 30));
    old.exec(`CREATE TRIGGER translation_insert_is_counted AFTER INSERT ON translation BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = 'patterns'; END`);
    const { series: _series, related: _related, ...bare } = blankPattern('Wren');
    const eleventh = JSON.stringify({ ...bare, formatVersion: 11 });
    old.prepare(`INSERT INTO pattern (id, title, document, document_seal, created_at, updated_at) VALUES ('wren', 'Wren', ?, ?, '2026-01-01', '2026-01-01')`).run(eleventh, sealOf(eleventh));
    old.prepare(`INSERT INTO revision (id, pattern_id, number, document, document_seal, published_at) VALUES ('r', 'wren', 1, ?, ?, '2026-01-01')`).run(eleventh, sealOf(eleventh));
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const { patterns } = createStore(opened.db);
    for (const document of [patterns.find('wren')?.document, patterns.findRevision('r')?.document])
      expect(document).toEqual(blankPattern('Wren'));
    expect(patterns.named()).toEqual([{ id: 'wren', title: 'Wren', series: null, related: [] }]);
    const series = { name: 'Birds', number: 2 };
    patterns.update('wren', 1, { ...blankPattern('Wren'), series }, '2026-01-02');
    expect(patterns.named()).toEqual([{ id: 'wren', title: 'Wren', series, related: [] }]);
    // However one came to it, a translation that is written throws away no plans.
    const triggers = opened.db.prepare(`SELECT name FROM sqlite_master WHERE type = 'trigger' AND name LIKE 'translation%'`).all();
    expect(triggers).toEqual([]);
    opened.db.exec(`UPDATE pattern_among SET series = '{'`);
    expect(patterns.named()).toEqual([{ id: 'wren', title: 'Wren', series: null, related: [] }]);
    opened.db.close();
  }); // prettier-ignore
  test('a run gets a plan of its day that says nothing, and its seats no design of their own; a damaged one stays', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 22));
    const document = JSON.stringify({ kind: 'class', name: 'Owls', date: '2026-12-05', seats: 2, revisionId: 'r', roster: [{ seat: 1, name: 'An' }] });
    const frozen = JSON.stringify({ at: '2026-11-01', input: JSON.parse(document) as object });
    const write = old.prepare(`INSERT INTO run (id, state, kind, name, date, document, document_seal, frozen, frozen_seal, created_at, updated_at) VALUES (?, ?, 'class', 'Owls', '2026-12-05', ?, ?, ?, ?, '2026-01-01', '2026-01-01')`);
    write.run('whole', 'bought', document, sealOf(document), frozen, sealOf(frozen));
    write.run('changed', 'planned', document.replace('Owls', 'Owl'), sealOf(document), null, null);
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const { runs } = createStore(opened.db);
    const seat = { seat: 1, name: 'An', revisionId: null };
    expect(runs.find('whole')).toMatchObject({ name: 'Owls', plan: { sessions: [], rows: [] }, roster: [seat] });
    expect(runs.frozen('whole')).toMatchObject({ at: '2026-11-01', input: { plan: { sessions: [] }, roster: [seat] } });
    expect(() => runs.find('changed')).toThrow();
    opened.db.close();
  }); // prettier-ignore
  test('what was weighed for somebody by their name is weighed for their seat, and no name is left in a tick', () => {
    const dir = freshDir();
    const old = new Database(join(dir, 'lanakit.sqlite'));
    old.pragma('foreign_keys = ON');
    migrate(old, MIGRATIONS.slice(0, 25));
    const document = JSON.stringify({ kind: 'class', name: 'Owls', date: '2026-12-05', seats: 4, revisionId: 'r', roster: [{ seat: 1, name: 'An ' }, { seat: 3, name: 'Bo' }] });
    const frozen = JSON.stringify({ at: '2026-11-01', input: { roster: [{ seat: 2, name: 'Cy' }] } });
    old.prepare(`INSERT INTO run (id, state, kind, name, date, document, document_seal, frozen, frozen_seal, created_at, updated_at) VALUES ('r1', 'bought', 'class', 'Owls', '2026-12-05', ?, ?, ?, ?, '2026-01-01', '2026-01-01')`).run(document, sealOf(document), frozen, sealOf(frozen));
    const tick = old.prepare(`INSERT INTO run_tick (tick_key, run_id, mark, is_done, mass_mg, at) VALUES (?, 'r1', ?, 1, 5000, '2026-11-02')`);
    const marks = ['seat An|one|chalk', 'packed|seat Bo', 'seat Cy|one|chalk', 'seat Di|one|chalk', 'packed|seat Di', 'seat 4|one|chalk', 'together 1.1|one|plum', 'all|spare-bag|chalk', 'packed|spare 1'];
    for (const [at, mark] of marks.entries()) tick.run(`t${at}`, mark);
    old.close();
    const opened = openDatabase(dir);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const after = opened.db.prepare('SELECT mark FROM run_tick ORDER BY id').pluck().all();
    expect(after).toEqual(['seat 1|one|chalk', 'packed|seat 3', 'seat 2|one|chalk', 'seat gone|one|chalk', 'packed|seat gone', 'seat 4|one|chalk', 'together 1.1|one|plum', 'all|spare-bag|chalk', 'packed|spare 1']);
    const { runs } = createStore(opened.db);
    expect(runs.find('r1')?.roster).toMatchObject([{ seat: 1, key: '1', name: 'An ' }, { seat: 3, key: '3', name: 'Bo' }]);
    expect(runs.ticks('r1')[0]).toMatchObject({ weighedG: null, scale: null, device: null });
    expect(() => opened.db.exec(`UPDATE run_tick SET mark = 'x'`)).toThrow(/cannot be changed/);
    opened.db.close();
  }); // prettier-ignore
});
