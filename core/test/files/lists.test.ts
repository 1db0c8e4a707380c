import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exportList, LIST_COLUMNS, readList, type ShelfView, toImport } from '../../src/files/index.ts';
import {
  BLANK_FINDING,
  blankMeasure,
  checkFinding,
  checkNeedle,
  FibreInput,
  type Finding,
  FINDING_FLAGS,
  FindingInput,
  type FindingMeasure,
  MEASURED_BY,
  NAPS,
  type Needle,
  NeedleInput,
  needleName,
  PROFILES,
} from '../../src/shelf/index.ts';
import { headerKey, type ListKind } from '../../src/tables/index.ts';

const EMPTY: ShelfView = { fibres: [], blends: [], findings: [], needles: [], tools: [], suppliers: [] };
const GUESS = { encoding: null, delimiter: null, decimal: null };

const rowsOf = (text: string, kind: ListKind, shelf: ShelfView = EMPTY) => {
  const result = readList(new TextEncoder().encode(text), kind, GUESS, shelf);
  if (!result.ok) throw new Error(result.refusal.code);
  return result.preview.rows;
};

describe('no property is lost on the way to a list', () => {
  const paths = (kind: ListKind) => new Set(LIST_COLUMNS[kind].map(({ path }) => path.join('.')));
  test('every property of a fibre has its column', () => {
    expect([...paths('fibres')].sort()).toEqual(Object.keys(FibreInput.properties).sort());
  });
  test('every property of a needle', () => {
    const given = Object.keys(NeedleInput.properties).flatMap((name) =>
      name === 'mark' ? ['mark.word', 'mark.colour'] : [name],
    );
    expect([...paths('needles')].sort()).toEqual(given.sort());
  });
  test('every property of a finding, however it is measured', () => {
    const measured = MEASURED_BY.flatMap((by) =>
      Object.entries(blankMeasure(by)).flatMap(([name, value]) =>
        name === 'outerMm'
          ? Object.keys(value as object).map((side) => `measure.outerMm.${side}`)
          : [`measure.${name}`],
      ),
    );
    const given = Object.keys(FindingInput.properties).filter((name) => name !== 'measure');
    expect([...paths('findings')].sort()).toEqual([...new Set([...given, ...measured])].sort());
  });
  test('no two columns of a list answer to one heading', () => {
    for (const columns of Object.values(LIST_COLUMNS)) {
      const keys = columns.map(({ header }) => headerKey(header));
      expect(new Set(keys).size).toBe(keys.length);
    }
  });
});

describe('cells as they are read', () => {
  const first = (header: string, cell: string) =>
    rowsOf(`name;prepared as;${header}\nMoss;tops;${cell}`, 'fibres')[0];
  test.each([
    ['a number with thin spaces', 'price per 100 g', '1 250,50', { pricePer100gMinor: 125_050 }],
    ['thousands parted by points', 'price per 100 g', '1.250,50', { pricePer100gMinor: 125_050 }],
    ['yes', 'felts alone', 'Yes', { feltsAlone: true }],
    ['no', 'felts alone', 'n', { feltsAlone: false }],
    ['nothing is unknown', 'felts alone', '', { feltsAlone: null }],
    ['several names', 'other names', 'olive', { otherNames: ['olive'] }],
    ['a flag by its word', 'flags', 'dye may bleed', { flags: ['may-bleed'] }],
    ['a fineness by its word', 'fineness', 'FINE', { fineness: 'fine' }],
    ['a colour in capitals', 'colour', '#6B7D36', { colour: '#6b7d36' }],
  ])('%s', (_name, header, cell, expected) => {
    expect(first(header, cell)?.change).toMatchObject({ input: expected });
  });
  test.each([
    ['words for a number', 'staple mm', 'long', 'a number'],
    ['two numbers in one', 'staple mm', '60-80', 'a number'],
    ['a number with its unit', 'staple mm', '60 mm', 'a number'],
    ['maybe', 'felts alone', 'perhaps', 'yes or no'],
    ['a flag there is not', 'flags', 'itchy', 'one of: '],
    ['a colour in words', 'colour', 'blue-ish', 'a colour such as'],
  ])('not read: %s', (_name, header, cell, wanted) => {
    const row = first(header, cell);
    expect(row).toMatchObject({ state: 'bad', change: null });
    expect(row?.problems).toEqual([
      expect.objectContaining({
        code: 'cell_not_read',
        column: header,
        text: cell,
        wanted: expect.stringContaining(wanted),
      }),
    ]);
  });
  test('read, but not possible: as bad as not read, with the bound', () => {
    expect(first('staple mm', '3000')?.problems).toMatchObject([
      { code: 'number_out_of_range', min: 5, max: 400 },
    ]);
    expect(first('g per m', '0')?.problems).toMatchObject([{ code: 'number_out_of_range' }]);
  });
  test('an empty name is no name', () => {
    expect(rowsOf('name,prepared as\n,tops', 'fibres')[0]?.problems).toMatchObject([
      { code: 'cell_not_read', wanted: 'a name' },
    ]);
  });
});

const word = fc
  .string({ minLength: 1, maxLength: 16 })
  .map((text) => text.replaceAll(/[;\p{Cc}]/gu, '').trim())
  .filter((text) => text !== '');
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: null });
const size = fc.integer({ min: 1, max: 900 }).map((n) => n / 10);
const money = maybe(fc.integer({ min: 0, max: 99_999 }));

describe('written and read again, nothing changes: anything that can be on the shelf', () => {
  const measure: fc.Arbitrary<FindingMeasure> = fc.oneof(
    fc.record({ by: fc.constant('count' as const), sort: fc.constantFrom('eye' as const, 'found' as const), massG: maybe(size), outerMm: fc.record({ length: maybe(size), width: fc.constant(null), height: maybe(size) }), innerMm: maybe(size), innerHighMm: maybe(size), postMm: maybe(size), sizeVaries: fc.boolean(), piecesPerPack: fc.integer({ min: 1, max: 500 }) }).map((measure) => ({ ...measure, innerHighMm: measure.innerMm === null || measure.innerHighMm === null ? null : Math.max(measure.innerMm, measure.innerHighMm) })),
    fc.record({ by: fc.constant('length' as const), sort: fc.constantFrom('wire' as const, 'cord' as const), diameterMm: maybe(size), linearGPerM: maybe(size), metresPerPack: size }),
    fc.record({ by: fc.constant('area' as const), sort: fc.constantFrom('sheet' as const, 'fabric' as const), thicknessMm: maybe(size), arealGPerM2: maybe(size.map((n) => n + 1)), nap: fc.constantFrom(...NAPS), sheetLengthMm: size.map((n) => n + 10), sheetWidthMm: size.map((n) => n + 10) }),
    fc.record({ by: fc.constant('volume' as const), sort: fc.constantFrom('glue' as const, 'paint' as const), activeMinutes: maybe(size), settingMinutes: maybe(size), millilitresPerPack: size.map((n) => n + 1) }),
  ); // prettier-ignore
  const finding: fc.Arbitrary<FindingInput> = fc.record({
    name: word,
    otherNames: fc.array(word, { maxLength: 2 }),
    measure,
    colour: maybe(hex),
    flags: fc.subarray([...FINDING_FLAGS]),
    spares: maybe(
      fc.oneof(
        fc.constant({ by: 'none' as const }),
        fc.record({
          by: fc.constantFrom('pack' as const, 'table' as const, 'run' as const),
          count: fc.integer({ min: 1, max: 99 }),
        }),
        fc.record({
          by: fc.constant('share' as const),
          fraction: fc.integer({ min: 1, max: 200 }).map((n) => n / 100),
        }),
      ),
    ),
    priceMinor: money,
    place: fc.oneof(fc.constant(''), word),
    note: fc.oneof(fc.constant(''), word),
    archived: fc.boolean(),
  });
  const needle: fc.Arbitrary<NeedleInput> = fc
    .record({
      gauge: maybe(fc.integer({ min: 32, max: 42 })),
      sizeWord: fc.oneof(fc.constant(''), word),
      profile: maybe(fc.constantFrom(...PROFILES)),
      reachMm: maybe(size.map((n) => Math.min(60, n + 2))),
      mark: maybe(fc.record({ word, colour: hex })),
      priceMinor: money,
      place: fc.oneof(fc.constant(''), word),
      note: fc.oneof(fc.constant(''), word),
      archived: fc.boolean(),
    })
    .filter((candidate) => checkNeedle(candidate).length === 0);

  test('findings', () => {
    const shelves = fc.uniqueArray(finding, {
      minLength: 1,
      maxLength: 6,
      selector: ({ name }) => name.toLowerCase(),
    });
    fc.assert(
      fc.property(shelves, (inputs) => {
        const findings: Finding[] = inputs.map((input, i) => ({
          ...input,
          id: `i${i}`,
          version: 1,
          onHand: null,
          peak: 0,
        }));
        expect(findings.flatMap(checkFinding)).toEqual([]);
        const text = exportList('findings', { ...EMPTY, findings });
        expect(rowsOf(text, 'findings', { ...EMPTY, findings }).map(({ state }) => state)).toEqual(
          findings.map(() => 'same'),
        );
        expect(toImport('x', rowsOf(text, 'findings'), EMPTY).creates.map(({ input }) => input)).toEqual(
          inputs,
        );
      }),
      { numRuns: 60 },
    );
  });
  test('needles', () => {
    const shelves = fc.uniqueArray(needle, {
      minLength: 1,
      maxLength: 6,
      selector: (given) => needleName(given).toLowerCase(),
    });
    fc.assert(
      fc.property(shelves, (inputs) => {
        const needles: Needle[] = inputs.map((input, i) => ({
          ...input,
          id: `i${i}`,
          version: 1,
          onHand: null,
          peak: 0,
        }));
        const text = exportList('needles', { ...EMPTY, needles });
        expect(rowsOf(text, 'needles', { ...EMPTY, needles }).map(({ state }) => state)).toEqual(
          needles.map(() => 'same'),
        );
        expect(toImport('x', rowsOf(text, 'needles'), EMPTY).creates.map(({ input }) => input)).toEqual(
          inputs,
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('a finding measured in another way', () => {
  const wire: Finding = { ...BLANK_FINDING, id: 'w', version: 4, name: 'Wire', measure: blankMeasure('count'), onHand: null, peak: 0, note: 'mine' }; // prettier-ignore
  test('takes the sizes that belong to the new way, and keeps the rest', () => {
    const [row] = rowsOf('name,measured,diameter mm,metres a pack\nWire,by length,1.2,25', 'findings', {
      ...EMPTY,
      findings: [wire],
    });
    expect(row).toMatchObject({ state: 'changed', change: { kind: 'update', id: 'w', version: 4 } });
    expect(row?.change).toMatchObject({
      input: { note: 'mine', measure: { by: 'length', diameterMm: 1.2, metresPerPack: 25 } },
    });
  });
  test('a size that has no place there is not put anywhere', () => {
    const [row] = rowsOf('name,measured,minutes to set\nWire,by the piece,120', 'findings', {
      ...EMPTY,
      findings: [wire],
    });
    expect(row?.state).toBe('same');
  });
});
