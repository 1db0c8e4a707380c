import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  closedWithout,
  inMark,
  massOfPack,
  notIn,
  packedMark,
  type PackLine,
  packLines,
  packWeight,
  planOfToday,
  type RunTick,
  weighings,
} from '../../src/run/index.ts';
import { type Lot, NO_OVERRIDES } from '../../src/shelf/index.ts';
import { classOf, coastDesigns, coastWool, duo, kitsOf } from '../support/coast.ts';

const sources = { designs: coastDesigns, shelf: coastWool, promisedG: new Map<string, number>() };
const STEP_G = 0.1;

function lay(input: ReturnType<typeof classOf>, ticks: ReadonlyMap<string, RunTick> = new Map()) {
  const packed = planOfToday(input, sources);
  const all = weighings(packed.plan, packed.packs, packed.wool.fibres, input.scaleStepG);
  return {
    packed,
    all,
    linesOf: (at: number) => packLines(packed, packed.packs[at] as never, [], all, ticks),
  };
}

describe('what goes into a pack', () => {
  test.each([
    ['a class', classOf({ seats: 3, sparePacks: 1 })],
    ['boxes', kitsOf([duo()])],
  ])(
    '%s: over all packs its bags hold just what the run weighs, and every line is told apart',
    (_what, input) => {
      const { packed, linesOf, all } = lay(input);
      const lines = packed.packs.flatMap((_pack, at) => linesOf(at));
      const inBags = lines.reduce((sum, line) => sum + (line.kind === 'bag' ? (line.massG ?? 0) : 0), 0);
      const wanted = all
        .flatMap(({ bags }) => bags.flatMap(({ marks }) => marks))
        .filter(({ packs }) => packs.length > 0);
      expect(inBags).toBeCloseTo(
        wanted.reduce((sum, { massG }) => sum + massG, 0),
        3,
      );
      for (const [at] of packed.packs.entries()) {
        const keys = linesOf(at).map(({ key }) => key);
        expect(new Set(keys).size).toBe(keys.length);
      }
    },
  );
  test('packaging lies at the bottom, papers on top, wool before what is small', () => {
    const kinds = lay(kitsOf([duo()]))
      .linesOf(0)
      .map((line) => (line.kind === 'finding' ? line.where : line.kind));
    const order = ['packaging', 'bag', 'inner-bag', 'loose', 'needles', 'tool', 'paper'];
    const places = kinds.map((kind) => order.indexOf(kind === 'loose' ? 'inner-bag' : kind));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(kinds.at(-1)).toBe('paper');
  });
  test('what a scale showed is what lies in the bag; of what was parted its share; by hand what was wanted', () => {
    const input = classOf({ seats: 4, sparePacks: 0 });
    const { all } = lay(input);
    const marks = all.flatMap(({ bags }) => bags.flatMap((each) => each.marks));
    const ticks = new Map<string, RunTick>(
      marks.map(({ mark, massG }, at) => [
        mark,
        { mark, isDone: true, massG, weighedG: at % 2 === 0 ? massG + 0.3 : null },
      ]),
    );
    const { packed, linesOf } = lay(input, ticks);
    for (const [at, pack] of packed.packs.entries()) {
      // Added up by hand, mark by mark.
      const wanted = marks
        .filter(({ packs }) => packs.some(({ id }) => id === pack.id))
        .reduce((sum, mark) => sum + (ticks.get(mark.mark)?.weighedG ?? mark.massG) / mark.parts, 0);
      const bags = linesOf(at).filter(({ kind }) => kind === 'bag');
      expect(bags.reduce((sum, { massG }) => sum + (massG ?? 0), 0)).toBeCloseTo(wanted, 4);
    }
  });
  test('further off than was agreed is told, by a scale alone; within it, and by hand, nothing is', () => {
    const input = classOf({ seats: 3, sparePacks: 0 });
    const marks = lay(input)
      .all.flatMap(({ bags }) => bags.flatMap((each) => each.marks))
      .filter(({ parts }) => parts === 1);
    const [over, within, byHand] = marks;
    if (!over || !within || !byHand) throw new Error('three seats have three weighings');
    const ticked = (mark: typeof over, byG: number | null): [string, RunTick] => [
      mark.mark,
      { mark: mark.mark, isDone: true, massG: mark.massG, weighedG: byG === null ? null : mark.massG + byG },
    ];
    const ticks = new Map([
      ticked(over, over.toleranceG + 0.4),
      ticked(within, -within.toleranceG),
      ticked(byHand, null),
    ]);
    const { packed, linesOf } = lay(input, ticks);
    const off = packed.packs.flatMap((_pack, at) =>
      linesOf(at).flatMap((line) => (line.kind === 'bag' ? line.wool.map(({ offG }) => offG) : [])),
    );
    expect(off.filter((grams) => grams !== 0)).toEqual([expect.closeTo(over.toleranceG + 0.4, 6)]);
  });
  test('what a lot says stands with the wool that is of it', () => {
    const input = classOf({ seats: 2, sparePacks: 0 });
    const lotOf = (id: string): Lot => ({
      id: `lot-${id}`,
      version: 1,
      name: '12',
      note: `${id} bleeds`,
      place: '',
      receivedOn: null,
      pricePer100gMinor: null,
      overrides: NO_OVERRIDES,
      onHandG: 900,
    });
    // One of them has a lot that says something, the others have none.
    const noted = new Map(
      [...coastWool.fibres].map(([id, fibre]) => [
        id,
        id === 'slate' ? { ...fibre, onHandG: 900, lots: [lotOf(id)] } : fibre,
      ]),
    );
    const packed = planOfToday(input, { ...sources, shelf: { ...coastWool, fibres: noted } });
    const all = weighings(packed.plan, packed.packs, packed.wool.fibres, input.scaleStepG);
    const lines = packLines(packed, packed.packs[0] as never, [], all, new Map());
    const notes = lines
      .flatMap((line) => (line.kind === 'bag' ? line.wool : []))
      .map(({ fibreId, lotNotes }) => [fibreId, ...lotNotes]);
    expect(notes.filter(([fibreId]) => fibreId === 'slate').length).toBeGreaterThan(0);
    for (const [fibreId, ...words] of notes)
      expect(words).toEqual(fibreId === 'slate' ? ['lot 12: slate bleeds'] : []);
  });
  test('is in when it is ticked, and out again when that is taken back', () => {
    const { packed, linesOf } = lay(classOf({ seats: 2 }));
    const lines = linesOf(0);
    const id = packed.packs[0]?.id ?? '';
    const tick = (isDone: boolean) =>
      new Map([[inMark(id, lines[0]?.key ?? ''), { mark: '', isDone, massG: 0 }]]);
    expect(notIn(id, lines, new Map())).toHaveLength(lines.length);
    expect(notIn(id, lines, tick(true))).toEqual(lines.slice(1));
    expect(notIn(id, lines, tick(false))).toHaveLength(lines.length);
    expect(notIn('seat 99', lines, tick(true))).toHaveLength(lines.length);
  });
});

describe('closed with something left out', () => {
  const { packed, linesOf } = lay(classOf({ seats: 3, sparePacks: 0 }));
  const [first, second, third] = packed.packs;
  const done = (mark: string): [string, RunTick] => [mark, { mark, isDone: true, massG: 0 }];
  const of = (ticks: readonly (readonly [string, RunTick])[]) =>
    closedWithout(packed.packs, (pack) => linesOf(packed.packs.indexOf(pack)), new Map(ticks)).map(
      ({ id }) => id,
    );
  const allIn = (at: number) => linesOf(at).map(({ key }) => done(inMark(packed.packs[at]?.id ?? '', key)));
  const closed = (pack: typeof first) => done(packedMark(pack?.id ?? ''));
  test('is told of packs that were ticked in and closed, and of no others', () => {
    expect(of([...allIn(0), closed(first)])).toEqual([]);
    expect(of([...allIn(1).slice(1), closed(second)])).toEqual([second?.id]);
    // Still open, and only said to be packed.
    expect(of(allIn(1).slice(1))).toEqual([]);
    expect(of([closed(third)])).toEqual([]);
  });
});

/** A bag of so much, weighed by the scale. */
const bag = (key: string, massG: number | null): PackLine =>
  ({
    kind: 'bag',
    key,
    massG,
    unknownCount: 0,
    bag: {},
    wool:
      massG === null
        ? []
        : [{ fibreId: key, massG, isWeighed: true, isByScale: true, offG: 0, lotNotes: [] }],
  }) as never;

describe('the weight of a finished pack', () => {
  const lines = [bag('body', 18.6), bag('leaves', 2.4), bag('joins', 0.8)];
  test.each([
    ['all of it', 21.8, { kind: 'right', expectedG: 21.8 }],
    ['a reading beside it', 21.6, { kind: 'right', expectedG: 21.8 }],
    ['a bag short', 19.4, { kind: 'short', byG: 2.4, likely: [['leaves']] }],
    ['two short', 18.6, { kind: 'short', byG: 3.2, likely: [['leaves', 'joins']] }],
    ['something no bag is', 20.4, { kind: 'short', byG: 1.4, likely: [] }],
    ['twice in it', 24.2, { kind: 'over', byG: 2.4, likely: [] }],
  ] as const)('%s', (_what, weighedG, wanted) => {
    const { likely, ...found } = {
      likely: [] as readonly (readonly PackLine[])[],
      ...packWeight(lines, [], STEP_G, weighedG),
    };
    expect({ ...found, likely: likely.map((group) => group.map(({ key }) => key)) }).toMatchObject(wanted);
  });
  test('where something of it was never weighed, the first tells what the others should', () => {
    const boxed = [...lines, bag('box', null)];
    expect(massOfPack(boxed)).toEqual({ knownG: 21.8, unknownCount: 1 });
    expect(packWeight(boxed, [], STEP_G, 56.8)).toEqual({ kind: 'first' });
    const alike = [{ weighedG: 57.1, knownG: 22.1 }];
    expect(packWeight(boxed, alike, STEP_G, 56.8)).toMatchObject({ kind: 'right' });
    expect(packWeight(boxed, alike, STEP_G, 54.4)).toMatchObject({
      kind: 'short',
      likely: [[{ key: 'leaves' }]],
    });
  });
  test('one odd box among many shifts nothing: the middle counts', () => {
    const alike = [35, 35.1, 34.9, 12].map((over) => ({ weighedG: 21.8 + over, knownG: 21.8 }));
    const boxed = [...lines, bag('box', null)];
    expect(packWeight(boxed, alike, STEP_G, 21.8 + 35)).toMatchObject({ kind: 'right' });
  });
  test('a bag left out of a pack that is weighed to a tenth is always noticed, and named where its weight is its own', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 400 }), { minLength: 2, maxLength: 6 }), fc.nat(5), fc.integer({ min: -1, max: 1 }), (tenths, which, stray) => {
        const all = tenths.map((each, at) => bag(`bag ${at}`, each / 10));
        const gone = all[which % all.length] as PackLine;
        const weighedG = Math.round((massOfPack(all).knownG - (gone.massG ?? 0)) * 10 + stray) / 10;
        const found = packWeight(all, [], STEP_G, weighedG);
        expect(found.kind).toBe('short');
        if (found.kind === 'short') expect(found.likely.flat().map(({ key }) => key)).toContain(gone.key);
      }),
    ); // prettier-ignore
  });
});
