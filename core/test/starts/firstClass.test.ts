import { describe, expect, test } from '@jest/globals';
import { onlyFibres } from '../../src/engine/index.ts';
import {
  checkFirstClass,
  type FirstClassInput,
  firstPattern,
  gramsOfBag,
  newWools,
  previewFirst,
  SHELF_KINDS,
  START_COLOURS,
  startWool,
  takesSecond,
  thingOfPick,
  woolSources,
} from '../../src/starts/index.ts';
import {
  BLANK_FIBRE,
  checkFibre,
  checkFinding,
  checkNeedle,
  checkTool,
  colourDifference,
  findingMassG,
} from '../../src/shelf/index.ts';
import { fibre } from '../support/make.ts';

const input = (more: Partial<FirstClassInput> = {}): FirstClassInput => ({
  title: 'Harbour seal',
  bodyId: 'sits',
  heightMm: 120,
  main: { from: 'new', colourId: 'slate' },
  second: { from: 'new', colourId: 'chalk' },
  class: null,
  ...more,
});

describe('the wool of the short way', () => {
  test('an empty shelf: core, two colours and black for the eyes, each once', () => {
    const added = newWools(woolSources(input(), []));
    expect(added.map(({ input: { name, preparation } }) => [name, preparation])).toEqual([
      ['Core, white', 'core-batt'],
      ['Slate', 'carded'],
      ['Chalk', 'carded'],
      ['Soot', 'tops'],
    ]);
    for (const { input: wool } of added) expect(checkFibre(wool)).toEqual([]);
  });
  test('one colour twice is one wool; a body without a second colour asks for none', () => {
    const both = input({ second: { from: 'new', colourId: 'slate' } });
    expect(newWools(woolSources(both, [])).map(({ input: { name } }) => name)).toEqual(['Core, white', 'Slate', 'Soot']);
    const four = input({ bodyId: 'on-four' });
    expect(woolSources(four, []).second).toBeNull();
    expect([takesSecond('on-four'), takesSecond('sits'), takesSecond('x')]).toEqual([false, true, false]);
  });
  test('what is there is taken: the core of which most is there, a colour of that name, what is as good as black', () => {
    const shelf = [
      fibre('a', { name: 'Old core', preparation: 'core-batt', onHandG: 40 }),
      fibre('b', { name: 'New core', preparation: 'core-batt', onHandG: 900 }),
      fibre('gone', { name: 'Put away', preparation: 'core-batt', onHandG: 5000, archived: true }),
      fibre('slate', { name: 'Slate', preparation: 'carded', colour: '#3c4855' }),
      fibre('night', { name: 'Night', preparation: 'tops', colour: '#202024' }),
      fibre('grey', { name: 'Grey', preparation: 'tops', colour: '#808080' }),
    ];
    const sources = woolSources(input({ second: { from: 'shelf', fibreId: 'grey' } }), shelf);
    expect(startWool(sources, () => '')).toEqual({ core: 'b', main: 'slate', second: 'grey', dark: 'night' });
    expect(newWools(sources)).toEqual([]);
  });
  test('every role of the pattern has its wool', () => {
    const sources = woolSources(input(), []);
    const pattern = firstPattern(input(), startWool(sources, (key) => key));
    const used = pattern.parts.flatMap(({ uses }) => uses.map((use) => ('fibreId' in use ? use.fibreId : '')));
    expect(used.every((id) => id !== null)).toBe(true);
  });
  test.each<[string, Partial<FirstClassInput>, string[]]>([
    ['as it is', {}, []],
    ['without a name', { title: ' ' }, ['title_empty /title']],
    ['too small to felt', { heightMm: 12 }, ['number_out_of_range /heightMm']],
    ['higher than a table', { heightMm: 900 }, ['number_out_of_range /heightMm']],
    ['wool that is not there', { main: { from: 'shelf', fibreId: 'x' } }, ['fibre_not_found /main/fibreId']],
  ])('%s', (_name, more, problems) => {
    expect(checkFirstClass(input(more), () => false).map(({ code, pointer }) => `${code} ${pointer}`)).toEqual(problems);
  });
}); // prettier-ignore

describe('what it would make, before it is made', () => {
  test('grams by fibre are those of the class, every bag of them; nobody comes, nothing is planned', () => {
    const empty = onlyFibres(new Map());
    const { plan, classGByFibre, newIds } = previewFirst(
      input({ class: { people: 11, date: '2026-12-12' } }),
      empty,
    );
    const sum = [...classGByFibre.values()].reduce((total, massG) => total + massG, 0);
    expect(sum).toBeCloseTo(plan?.classG ?? NaN, 6);
    expect(new Set(classGByFibre.keys())).toEqual(newIds);
    expect(previewFirst(input(), empty)).toMatchObject({ plan: null, classGByFibre: new Map() });
  });
});

describe('a shelf to start from', () => {
  const CHECKS = { fibre: checkFibre, finding: checkFinding, needle: checkNeedle, tool: checkTool };
  test('some thirty kinds, each possible as it is, each with its name', () => {
    expect(SHELF_KINDS.length).toBeGreaterThanOrEqual(30);
    expect(new Set(SHELF_KINDS.map(({ id }) => id)).size).toBe(SHELF_KINDS.length);
    for (const kind of SHELF_KINDS) {
      const check = CHECKS[kind.kind] as (thing: object) => unknown[];
      expect([kind.id, check(kind.input)]).toEqual([kind.id, []]);
    }
  });
  test('wire weighs what steel of its diameter weighs', () => {
    for (const [id, diameterMm] of [
      ['wire-06', 0.6],
      ['wire-12', 1.2],
    ] as const) {
      const kind = SHELF_KINDS.find((candidate) => candidate.id === id);
      if (kind?.kind !== 'finding' || kind.input.measure.by !== 'length') throw new Error('wire');
      // Of a metre: a cylinder of it in cm³ × 7.85 g.
      const metreG = Math.PI * (diameterMm / 20) ** 2 * 100 * 7.85;
      expect(findingMassG(kind.input.measure, 1)).toBeCloseTo(metreG, 1);
    }
  });
  test('colours are told apart by the eye, and name what they are put on', () => {
    for (const [at, first] of START_COLOURS.entries())
      for (const other of START_COLOURS.slice(at + 1))
        expect([first.name, other.name, colourDifference(first.colour, other.colour) > 6]).toEqual([first.name, other.name, true]);
    const thing = thingOfPick({ kindId: 'tops-fine', colourId: 'plum', onHand: null });
    expect(thing?.input).toMatchObject({ name: 'Plum', colour: '#5f2f58', preparation: 'tops' });
    // A pad comes in no colours.
    expect(thingOfPick({ kindId: 'pad', colourId: 'plum', onHand: 1 })?.input).toMatchObject({ name: 'Felting pad' });
  });
  test.each([
    // Torn off, a litre of core batt weighs 11 g; squeezed into a bag 1.6 times that.
    ['a loaf of core', { preparation: 'core-batt' as const }, 2, 35],
    ['a cushion of tops', { preparation: 'tops' as const }, 10, 260],
    ['of a loft that was measured', { preparation: 'tops' as const, loftGPerCm3: 0.02 }, 10, 320],
  ])('a bag about so big: %s', (_name, more, litres, grams) => {
    expect(gramsOfBag({ ...BLANK_FIBRE, name: 'x', ...more }, litres)).toBe(grams);
  });
}); // prettier-ignore
