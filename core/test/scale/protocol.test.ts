import { lineSplitter, LONGEST_LINE } from '../../src/base/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  afterLine,
  type LineRead,
  NO_SCALE,
  readScaleLine,
  SCALE_UNITS,
  type ScaleLine,
  scaleLine,
  type ScaleUnit,
  unplugged,
} from '../../src/scale/index.ts';

const read = (text: string, unit: ScaleUnit = 'g') => readScaleLine(text, unit);

describe('a line of a scale', () => {
  test.each<[string, LineRead | null]>([
    ['scale 1 unit g step 0.1 most 500', { kind: 'hello', unit: 'g', stepG: 0.1, mostG: 500 }],
    ['scale 1 unit kg step 0.001 most 5', { kind: 'hello', unit: 'kg', stepG: 1, mostG: 5000 }],
    ['at 18.6 stable', { kind: 'reading', massG: 18.6, isStable: true }],
    ['at -0.1 moving', { kind: 'reading', massG: -0.1, isStable: false }],
    ['  AT   18.60   Stable  ', { kind: 'reading', massG: 18.6, isStable: true }],
    ['tare 3.2', { kind: 'tare', massG: 3.2 }],
    ['over', { kind: 'fault', fault: 'over' }],
    ['under', { kind: 'fault', fault: 'under' }],
    ['battery low', { kind: 'battery', isLow: true }],
    ['battery ok', { kind: 'battery', isLow: false }],
    ['', null],
    ['   ', null],
    ['at 18,6 stable', { kind: 'not_read', why: 'number', text: 'at 18,6 stable' }],
    ['at 1e3 stable', { kind: 'not_read', why: 'number', text: 'at 1e3 stable' }],
    ['at NaN stable', { kind: 'not_read', why: 'number', text: 'at NaN stable' }],
    ['at 18.6', { kind: 'not_read', why: 'unknown', text: 'at 18.6' }],
    ['at 18.6 stable now', { kind: 'not_read', why: 'unknown', text: 'at 18.6 stable now' }],
    ['over and out', { kind: 'not_read', why: 'unknown', text: 'over and out' }],
    [
      'scale 2 unit g step 0.1 most 500',
      { kind: 'not_read', why: 'version', text: 'scale 2 unit g step 0.1 most 500' },
    ],
    [
      'scale 1 unit st step 0.1 most 500',
      { kind: 'not_read', why: 'unknown', text: 'scale 1 unit st step 0.1 most 500' },
    ],
    [
      'scale 1 unit g step 0 most 500',
      { kind: 'not_read', why: 'number', text: 'scale 1 unit g step 0 most 500' },
    ],
    [
      'scale 1 unit g step 600 most 500',
      { kind: 'not_read', why: 'number', text: 'scale 1 unit g step 600 most 500' },
    ],
    ['\u0000\u0001garbage', { kind: 'not_read', why: 'unknown', text: '\u0000\u0001garbage' }],
    ['x'.repeat(200), { kind: 'not_read', why: 'too_long', text: 'x'.repeat(LONGEST_LINE) }],
  ])('%j', (text, line) => {
    expect(read(text)).toEqual(line);
  });
  test.each([
    ['oz', 'at 1 stable', 28.349523],
    ['lb', 'at 0.5 stable', 226.796185],
    ['kg', 'at 0.0186 stable', 18.6],
  ] as const)('in %s it is kept in grams: %s', (unit, text, massG) => {
    expect(read(text, unit)).toEqual({ kind: 'reading', massG, isStable: true });
  });
  const lines: fc.Arbitrary<ScaleLine> = fc.oneof(
    fc.record({ kind: fc.constant('reading' as const), massG: fc.integer({ min: -5000, max: 50_000 }).map((n) => n / 10), isStable: fc.boolean() }),
    fc.record({ kind: fc.constant('tare' as const), massG: fc.integer({ min: 0, max: 5000 }).map((n) => n / 10) }),
    fc.record({ kind: fc.constant('fault' as const), fault: fc.constantFrom('over' as const, 'under' as const) }),
    fc.record({ kind: fc.constant('battery' as const), isLow: fc.boolean() }),
    fc.constant<ScaleLine>({ kind: 'hello', unit: 'g', stepG: 0.1, mostG: 500 }),
  ); // prettier-ignore
  test('what is said is read as it was meant, in grams to the tenth', () => {
    fc.assert(
      fc.property(lines, (line) => {
        expect(read(scaleLine(line, 'g'))).toEqual(line);
      }),
    );
  });
  test('in any unit it comes back within a hundredth of a gram', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.constantFrom(...(Object.keys(SCALE_UNITS) as ScaleUnit[])), (tenths, unit) => {
        const line = read(scaleLine({ kind: 'reading', massG: tenths / 10, isStable: true }, unit), unit);
        expect(line?.kind).toBe('reading');
        expect(Math.abs((line as { massG: number }).massG - tenths / 10)).toBeLessThan(0.01);
      }),
    ); // prettier-ignore
  });
  test('whatever comes is no fault of ours', () => {
    fc.assert(fc.property(fc.string({ maxLength: 300 }), (text) => void read(text)));
  });
});

describe('lines out of pieces', () => {
  test('cut anywhere they come out as they were, each once and in order', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[a-z0-9. ]{0,60}$/)), fc.constantFrom('\n', '\r\n'), fc.infiniteStream(fc.integer({ min: 1, max: 9 })), (all, end, cuts) => {
        const text = all.map((line) => line + end).join('');
        const split = lineSplitter();
        const out: string[] = [];
        for (let at = 0; at < text.length; ) {
          const size = cuts.next().value as number;
          out.push(...split(text.slice(at, at + size)));
          at += size;
        }
        // A cut between CR and LF leaves an empty line, which says nothing.
        expect(out.filter((line) => line !== '')).toEqual(all.filter((line) => line !== ''));
      }),
    ); // prettier-ignore
  });
  test('half a line is none yet; what never ends is given up, and what comes after it is read again', () => {
    const split = lineSplitter();
    expect(split('at 18.')).toEqual([]);
    expect(split('6 stable\nat')).toEqual(['at 18.6 stable']);
    expect(split(' 1 moving\n')).toEqual(['at 1 moving']);
    const [cut = '', ...more] = split('x'.repeat(5000));
    expect(cut.length).toBe(LONGEST_LINE + 1);
    expect(more).toEqual([]);
    expect(split('y'.repeat(5000))).toEqual([]);
    expect(split('still\nat 2 stable\n')).toEqual(['at 2 stable']);
  });
});

test('a scale is what its lines say; unplugged it shows nothing, and what it is stays known', () => {
  const lines = [
    'scale 1 unit g step 0.1 most 500',
    'tare 3.2',
    'at 18.4 moving',
    'nonsense',
    'at 18.6 stable',
    'battery low',
  ];
  const after = lines.reduce((state, text) => {
    const line = readScaleLine(text, state.unit);
    return line ? afterLine(state, line) : state;
  }, NO_SCALE);
  expect(after).toEqual({
    isHere: true,
    unit: 'g',
    stepG: 0.1,
    mostG: 500,
    massG: 18.6,
    isStable: true,
    fault: null,
    tareG: 3.2,
    isBatteryLow: true,
    notRead: 1,
  });
  expect(unplugged(after)).toMatchObject({ isHere: false, massG: null, isStable: false, stepG: 0.1 });
  expect(afterLine(after, { kind: 'fault', fault: 'over' })).toMatchObject({ massG: null, fault: 'over' });
  expect(afterLine(after, { kind: 'reading', massG: 1, isStable: false })).toMatchObject({
    fault: null,
    massG: 1,
  });
});
