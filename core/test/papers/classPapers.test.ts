import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cellWords, makePaper, type PaperName, type PaperSource } from '../../src/papers/index.ts';
import { BLANK_PLAN, blankSeat, type ClassPlan, type Seat } from '../../src/run/index.ts';
import { BLANK_TOOL, byGauge, FIBRE_FLAGS, type Fibre } from '../../src/shelf/index.ts';
import { CAUTION_NAMES, FIBRE_FLAG_WORDS } from '../../src/words/index.ts';
import { cautionsOf } from '../../src/writing/index.ts';
import { bird, classOf, coastDesigns, coastWool, duo, kitsOf, sourceOf } from '../support/coast.ts';

const rowsOf = (name: PaperName, source: PaperSource, title: string) =>
  (makePaper(name, source).sections.find((each) => each.title === title)?.rows ?? []).map(({ cells }) =>
    cells.map(cellWords),
  );
const allOf = (name: PaperName, source: PaperSource): string =>
  JSON.stringify(makePaper(name, source).sections.map(({ title, notes, rows }) => [title, notes, rows]));
const planOf = (more: Partial<ClassPlan>): ClassPlan => ({ ...BLANK_PLAN, ...more });
const named = (seat: number, name: string, more: Partial<Seat> = {}): Seat => ({
  ...blankSeat(seat),
  name,
  ...more,
});

describe('what is sent beforehand', () => {
  test('names nobody, whoever comes and whatever is noted of them', () => {
    const letters = fc.stringMatching(/^[QXZ]{6,12}$/);
    fc.assert(
      fc.property(letters, letters, (name, note) => {
        const paper = allOf('before-class', sourceOf(classOf({ roster: [named(2, name, { note })] })));
        return !paper.includes(name) && !paper.includes(note);
      }),
      { numRuns: 20 },
    );
  });
  test.each([
    [
      'one day',
      [{ id: 'a', date: null, startsAt: '18:30', minutes: 150 }],
      [['Sat 5 Dec 2026', '18:30 to 21:00', '2 h 30']],
    ],
    [
      'past midnight',
      [{ id: 'a', date: null, startsAt: '22:00', minutes: 180 }],
      [['Sat 5 Dec 2026', '22:00 to 01:00', '3 h']],
    ],
    [
      'two days',
      [
        { id: 'a', date: null, startsAt: '10:00', minutes: 60 },
        { id: 'b', date: '2026-12-12', startsAt: '10:00', minutes: 90 },
      ],
      [
        ['Sat 5 Dec 2026', '10:00 to 11:00', '60 min'],
        ['Sat 12 Dec 2026', '10:00 to 11:30', '1 h 30'],
      ],
    ],
  ])('when it is: %s', (_, sessions, told) => {
    expect(rowsOf('before-class', sourceOf(classOf({ plan: planOf({ sessions }) })), 'When')).toEqual(told);
  });
  test('hours nobody settled are said to follow', () => {
    expect(allOf('before-class', sourceOf(classOf()))).toContain('Sat 5 Dec 2026. The hours follow.');
  });
  test('every property of the wool that is packed is asked about, and none that is not', () => {
    fc.assert(
      fc.property(fc.subarray([...FIBRE_FLAGS]), fc.subarray([...FIBRE_FLAGS]), (ofChalk, ofPlum) => {
        const fibres = new Map(coastWool.fibres);
        const flagged = (id: string, flags: Fibre['flags']) =>
          fibres.set(id, { ...(fibres.get(id) as Fibre), flags });
        flagged('chalk', ofChalk);
        // Of a colourway that nobody chose.
        flagged('plum', ofPlum);
        const source = sourceOf(classOf({ undecidedChance: null }), coastDesigns, { ...coastWool, fibres });
        const [asked] = rowsOf('before-class', source, 'Say so beforehand')[0] ?? [];
        expect(FIBRE_FLAGS.filter((flag) => asked?.includes(FIBRE_FLAG_WORDS[flag])).sort()).toEqual(
          [...ofChalk].sort(),
        );
      }),
      { numRuns: 20 },
    );
  });
  test('what can be chosen is asked of each design that has something to choose', () => {
    const rows = rowsOf(
      'before-class',
      sourceOf(classOf({ roster: [{ ...blankSeat(1), revisionId: 'pear-1' }] })),
      'Say so beforehand',
    ).flat();
    expect(rows).toContain('What you choose of Bird: colours (as written or Dusk)');
    expect(rows.join()).not.toContain('choose of Pear');
  });
  test('every caution that can hurt, and none that only the figure suffers from', () => {
    const source = sourceOf(classOf());
    const told = new Set(
      source.toPack.groups.flatMap(({ makes }) =>
        makes.flatMap(({ build }) => [...cautionsOf(build, coastWool).values()].flat()),
      ),
    );
    told.delete('irreversible');
    const rows = rowsOf('before-class', source, 'Take care');
    const names = rows.map(([name]) => name);
    expect(names.length).toBe(told.size);
    expect(new Set(names)).toEqual(new Set([...told].map((caution) => CAUTION_NAMES[caution])));
  });
  describe('tools', () => {
    const pierced = {
      ...bird,
      steps: bird.steps.map((step) => ({ ...step, needle: byGauge(38) })),
      tools: [
        { id: 't', needKey: null, name: 'bone folder', per: 'person' as const, count: 2, isLeftOut: false },
      ],
    };
    const designs = new Map([...coastDesigns, ['bird-1', pierced] as const]);
    test('at home every tool is wanted at hand, and no needle: those are in the parcel', () => {
      const source = sourceOf(classOf({ plan: planOf({ isRemote: true }) }), designs);
      const told = rowsOf('before-class', source, 'Have at hand').flat();
      expect(told).toContain('2 × bone folder');
      expect(told.join()).not.toMatch(/needle|38/i);
      const card = allOf('contents', source);
      told.forEach((name) => expect(card).toContain(name));
    });
    test('in a room only what everybody has for themselves and the shelf has too little of is asked for', () => {
      const shelfOf = (onHand: number | null): PaperSource => ({
        ...sourceOf(classOf(), designs),
        tools: [{ ...BLANK_TOOL, id: 'b', version: 1, name: 'bone folder', onHand, peak: onHand ?? 0 }],
      });
      expect(rowsOf('before-class', shelfOf(12), 'What to bring').flat()).not.toContain('bone folder');
      expect(rowsOf('before-class', shelfOf(11), 'What to bring').flat()).toContain('bone folder');
      expect(rowsOf('before-class', shelfOf(null), 'What to bring').flat()).toContain('bone folder');
    });
  });
});

describe('a sign-up list', () => {
  test('has a line for every seat; what is known of who sits there stands in it, and nothing of an empty one', () => {
    const roster = [
      named(2, ' Ines ', { isLeftHanded: true, avoids: ['lanolin', 'silk'] }),
      named(5, 'Bram', { revisionId: 'pear-1' }),
    ];
    const source = sourceOf(classOf({ roster }));
    const rows = rowsOf('sign-up', source, 'Who comes');
    expect(rows.map(([seat]) => seat)).toEqual(['1', '2', '3', '4', '5', '6']);
    expect(rows[1]).toEqual(['2', 'Ines', 'Bird: not chosen yet', 'left', 'lanolin left in and silk', '']);
    expect(rows[4]).toEqual(['5', 'Bram', 'Pear: as written', '', '', '']);
    expect(rows[0]).toEqual(['1', '', '', '', '', '']);
    expect(makePaper('sign-up', source).sections[0]?.aside).toBe('2 of 6 seats');
  });
});

test.each<PaperName>(['before-class', 'sign-up'])('boxes have no %s', (name) => {
  expect(makePaper(name, sourceOf(kitsOf([duo()]))).sections).toEqual([]);
}); // prettier-ignore
