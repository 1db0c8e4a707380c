import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  exportList,
  LIST_COLUMNS,
  type ListPreview,
  type ListSettings,
  readList,
  type ShelfView,
  toImport,
} from '../../src/files/index.ts';
import {
  BLANK_FIBRE,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  blankLot,
  blankMeasure,
  type Fibre,
  FIBRE_FLAGS,
  type FibreInput,
  type Finding,
  type Needle,
  PREPARATIONS,
  PROFILES,
} from '../../src/shelf/index.ts';
import { guessEncoding, LIST_KINDS, type ListKind } from '../../src/tables/index.ts';
import { csvRefusalWords } from '../../src/words/index.ts';
import { fibre } from '../support/make.ts';

const GUESS: ListSettings = { encoding: null, delimiter: null, decimal: null };
const EMPTY: ShelfView = { fibres: [], blends: [], findings: [], needles: [], tools: [], suppliers: [] };
const utf8 = (text: string) => new TextEncoder().encode(text);

const read = (
  text: string | Uint8Array,
  kind: ListKind,
  shelf: ShelfView = EMPTY,
  settings: ListSettings = GUESS,
): ListPreview => {
  const result = readList(typeof text === 'string' ? utf8(text) : text, kind, settings, shelf);
  if (!result.ok) throw new Error(csvRefusalWords(result.refusal));
  return result.preview;
};
const refusal = (bytes: Uint8Array, kind: ListKind) => {
  const result = readList(bytes, kind, GUESS, EMPTY);
  if (result.ok) throw new Error('expected a refusal');
  return result.refusal;
};
const states = (preview: ListPreview) => preview.rows.map(({ line, state }) => `${line} ${state}`);

const finding = (name: string, more: Partial<Finding> = {}): Finding => ({
  ...BLANK_FINDING,
  id: name,
  version: 1,
  name,
  onHand: null,
  peak: 0,
  ...more,
});
const needle = (id: string, more: Partial<Needle>): Needle => ({
  ...BLANK_NEEDLE,
  id,
  version: 1,
  onHand: null,
  peak: 0,
  ...more,
});

describe('reading a list of fibres', () => {
  test('each row as it will be read: new, changed, the same, or bad with its line and reason', () => {
    const shelf = {
      ...EMPTY,
      fibres: [fibre('m', { name: 'Moss', colour: '#6b7d36' }), fibre('k', { name: 'Kelp' })],
    };
    const preview = read(
      'Name,Prepared as,Colour,g per m\nMoss,carded sliver,#6B7D36,\nKelp,carded sliver,#4a5a3a,14\n\nSoot,tops,#1d1c1e,22\nRust,fluffy,#8a4526,\nFog,tops,grey,0',
      'fibres',
      shelf,
    );
    expect(states(preview)).toEqual(['2 same', '3 changed', '5 new', '6 bad', '7 bad']);
    expect(preview.rows[3]?.problems).toMatchObject([
      { code: 'cell_not_read', column: 'prepared as', text: 'fluffy' },
    ]);
    expect(preview.rows[4]?.problems).toMatchObject([{ code: 'cell_not_read', column: 'colour' }]);
  });
  test('a column the file has not is left as the shelf has it', () => {
    const shelf = { ...EMPTY, fibres: [fibre('m', { name: 'Moss', stapleMm: 61, note: 'mine' })] };
    const [row] = read('name;prepared as;price per 100 g\nMoss;carded sliver;6,20', 'fibres', shelf).rows;
    expect(row?.change).toMatchObject({
      kind: 'update',
      input: { stapleMm: 61, note: 'mine', pricePer100gMinor: 620 },
    });
  });
  test('delimiter and decimal comma are guessed, and can be set', () => {
    const text = 'name;prepared as;g per m;staple mm\nMoss;tops;21,5;1.250';
    expect(read(text, 'fibres')).toMatchObject({ delimiter: ';', decimal: ',' });
    expect(read(text, 'fibres').rows[0]?.state).toBe('bad');
    const set = read(text.replace('1.250', '75'), 'fibres', EMPTY, { ...GUESS, decimal: ',' });
    expect(set.rows[0]?.change).toMatchObject({ input: { linearGPerM: 21.5, stapleMm: 75 } });
    expect(read(text, 'fibres', EMPTY, { ...GUESS, decimal: '.' }).rows[0]?.problems).toMatchObject([
      { text: '21,5', wanted: 'a number' },
    ]);
  });
  test('the same fibre twice in one file: the second is bad and says where the first stands', () => {
    const preview = read('name,prepared as\nMoss,tops\nSoot,tops\nMOSS,tops', 'fibres');
    expect(states(preview)).toEqual(['2 new', '3 new', '4 bad']);
    expect(preview.rows[2]?.problems).toMatchObject([{ code: 'row_twice', firstLine: 2 }]);
  });
  test('a quoted note of several lines is counted in lines', () => {
    expect(states(read('name,prepared as,note\nMoss,tops,"one\ntwo\nthree"\nSoot,tops,', 'fibres'))).toEqual([
      '2 new',
      '5 new',
    ]);
  });
  test('columns that mean nothing are named', () => {
    expect(read('name,prepared as,smell\nMoss,tops,sheep', 'fibres').unread).toEqual(['smell']);
  });
  test('headings are read whatever their capitals and signs', () => {
    expect(read('NAME,Prepared-As,G/m²\nKelp,batt,240', 'fibres').rows[0]?.change).toMatchObject({
      input: { arealGPerM2: 240 },
    });
  });
});

describe('encodings', () => {
  const text = 'name,prepared as\nMoosgrün,tops\nTöre,batt';
  const utf16 = (bigEndian: boolean, mark: boolean) => {
    const units = [...(mark ? '\ufeff' : ''), ...text].map((char) => char.charCodeAt(0));
    return Uint8Array.from(
      units.flatMap((unit) => (bigEndian ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8])),
    );
  };
  test.each([
    ['UTF-8', utf8(text), 'utf-8'],
    ['UTF-8 with its mark', utf8(`\ufeff${text}`), 'utf-8'],
    ['UTF-16, little end first, marked', utf16(false, true), 'utf-16le'],
    ['UTF-16, big end first, not marked', utf16(true, false), 'utf-16be'],
    ['Windows-1252', Uint8Array.from([...text].map((char) => char.charCodeAt(0))), 'windows-1252'],
  ] as const)('%s', (_name, bytes, encoding) => {
    expect(guessEncoding(bytes)).toBe(encoding);
    expect(
      read(bytes, 'fibres').rows.map(({ change }) => (change as { input: FibreInput }).input.name),
    ).toEqual(['Moosgrün', 'Töre']);
  });
});

describe('a file that is not read at all', () => {
  test.each([
    ['of another kind', utf8('gauge,profile\n38,star'), 'columns_missing', 'looks like needles'],
    ['of no kind', utf8('apples,pears\n1,2'), 'columns_missing', 'apples, pears'],
    ['without a row', utf8('name,prepared as\n\n'), 'file_empty', 'no rows'],
    ['empty', utf8(''), 'file_empty', 'no rows'],
    ['a spreadsheet', Uint8Array.from([0x50, 0x4b, 3, 4, 1, 2]), 'not_text', 'spreadsheet'],
    ['of 200 MB', new Uint8Array(200_000_000), 'file_too_large', '200 MB'],
    ['of 20 001 rows', utf8(`name,prepared as\n${'x,tops\n'.repeat(20_001)}`), 'too_many_rows', '20001 rows'],
  ] as const)('%s', (_name, bytes, code, words) => {
    const found = refusal(bytes, 'fibres');
    expect(found.code).toBe(code);
    expect(csvRefusalWords(found)).toContain(words);
  });
});

describe('formulas', () => {
  test.each(['=cmd|calc', '+1', '-2', '@SUM(A1)', "'=x", "''+y"])(
    '%s is written so that no spreadsheet runs it, and read back as it was',
    (note) => {
      const shelf = { ...EMPTY, fibres: [fibre('m', { name: 'Moss', note })] };
      const text = exportList('fibres', shelf);
      expect(text).toContain(`'${note}`);
      expect(text).not.toMatch(/(^|,)"?[=+\-@]/m);
      expect(read(text, 'fibres', shelf).rows[0]?.state).toBe('same');
    },
  );
});

describe('written and read again, nothing changes', () => {
  const word = fc
    .string({ minLength: 1, maxLength: 20 })
    .map((text) => text.replaceAll(/[;\p{Cc}]/gu, '').trim())
    .filter((text) => text !== '');
  const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: null });
  const amount = (min: number, max: number) =>
    fc.integer({ min: min * 100, max: max * 100 }).map((n) => n / 100);
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
  const anyFibre: fc.Arbitrary<FibreInput> = fc.record({
    name: word,
    otherNames: fc.array(word, { maxLength: 3 }),
    kind: fc.oneof(fc.constant(''), word),
    preparation: fc.constantFrom(...PREPARATIONS),
    colour: hex,
    feltsAlone: maybe(fc.boolean()),
    fineness: maybe(fc.constantFrom('coarse', 'medium', 'fine')),
    stapleMm: maybe(amount(5, 400)),
    linearGPerM: maybe(amount(1, 200)),
    arealGPerM2: maybe(amount(5, 3000)),
    loftGPerCm3: maybe(fc.constantFrom(0.011, 0.02)),
    smallestPartMm: maybe(amount(1, 200)),
    hidingGPerM2: maybe(amount(10, 500)),
    densityFactor: maybe(amount(0.5, 2)),
    sheetLengthMm: maybe(amount(20, 5000)),
    sheetWidthMm: maybe(amount(20, 5000)),
    flags: fc.subarray([...FIBRE_FLAGS]),
    note: fc.oneof(fc.constant(''), word),
    pricePer100gMinor: maybe(fc.integer({ min: 0, max: 99_999 })),
    archived: fc.boolean(),
  });

  test('any shelf of fibres', () => {
    const shelves = fc.uniqueArray(anyFibre, {
      maxLength: 6,
      selector: ({ name, preparation }) => `${name.toLowerCase()} ${preparation}`,
    });
    fc.assert(
      fc.property(shelves, (inputs) => {
        const fibres: Fibre[] = inputs.map((input, i) => ({
          ...input,
          id: `f${i}`,
          version: 1,
          lots: [],
          onHandG: null,
          peakG: 0,
        }));
        if (fibres.length === 0) return;
        const text = exportList('fibres', { ...EMPTY, fibres });
        expect(read(text, 'fibres', { ...EMPTY, fibres }).rows.map(({ state }) => state)).toEqual(
          fibres.map(() => 'same'),
        );
        // Onto an empty shelf it brings the same fibres.
        const made = toImport('x.csv', read(text, 'fibres').rows, EMPTY).creates.map(({ input }) => input);
        expect(made).toEqual(inputs);
      }),
      { numRuns: 60 },
    );
  });

  const shelf: ShelfView = {
    ...EMPTY,
    fibres: [
      fibre('m', {
        name: 'Moss',
        lots: [
          { ...blankLot('spring'), id: 'l1', version: 1, onHandG: 6 },
          { ...blankLot('autumn'), id: 'l2', version: 1, onHandG: 12.5 },
        ],
      }),
      fibre('t', { name: 'Moss', preparation: 'tops' }),
    ],
    findings: [
      finding('Eye', {
        measure: {
          ...blankMeasure('count'),
          massG: 0.03,
          innerMm: 0.8,
          sizeVaries: true,
        } as Finding['measure'],
        onHand: 86,
        flags: ['small-part'],
      }),
      finding('Wire', {
        measure: { by: 'length', sort: 'wire', diameterMm: 1.2, linearGPerM: 8.9, metresPerPack: 25 },
        onHand: 18.4,
      }),
      finding('Sheet', {
        measure: {
          by: 'area',
          sort: 'sheet',
          thicknessMm: 1.2,
          arealGPerM2: 260,
          nap: 'across',
          sheetLengthMm: 300,
          sheetWidthMm: 450,
        },
      }),
      finding('Glue', {
        measure: {
          by: 'volume',
          sort: 'glue',
          activeMinutes: 10,
          settingMinutes: 120,
          millilitresPerPack: 100,
        },
      }),
    ],
    needles: [
      needle('n1', { gauge: 38, profile: PROFILES[0], mark: { word: 'oak', colour: '#9c7a4d' } }),
      needle('n2', { sizeWord: 'large' }),
      needle('n3', { gauge: 40 }),
    ],
    suppliers: [
      {
        ...BLANK_SUPPLIER,
        id: 's',
        version: 3,
        name: 'Two Piers',
        offers: [
          { itemId: 'm', packAmount: 50, priceMinor: 310, reference: 'MO-50' },
          { itemId: 'Wire', packAmount: 25, priceMinor: 620, reference: '' },
        ],
      },
    ],
  };

  test.each(LIST_KINDS)('%s', (kind) => {
    const preview = read(exportList(kind, shelf), kind, shelf);
    expect(preview.rows.length).toBeGreaterThan(0);
    expect(preview.rows.flatMap(({ problems }) => problems)).toEqual([]);
    expect(preview.rows.every(({ state }) => state === 'same')).toBe(true);
    expect(preview.unread).toEqual([]);
    expect(preview.header).toEqual(LIST_COLUMNS[kind].map(({ header }) => header));
  });

  describe('prices', () => {
    test('new and changed ones go over the supplier’s others; an unknown supplier is made', () => {
      const text =
        'supplier,item,prepared as,pack,price\ntwo piers,Moss,carded sliver,50,3.30\nGannet Row,Wire,,25,6\ntwo piers,Moss,,100,6';
      const preview = read(text, 'prices', shelf);
      expect(states(preview)).toEqual(['2 changed', '3 new', '4 bad']);
      expect(preview.rows[2]?.problems).toMatchObject([{ code: 'several_on_shelf' }]);
      const { creates, updates } = toImport('p.csv', preview.rows, shelf);
      expect(updates).toMatchObject([
        { id: 's', version: 3, input: { offers: [{ itemId: 'Wire' }, { itemId: 'm', priceMinor: 330 }] } },
      ]);
      expect(creates).toMatchObject([
        { kind: 'supplier', input: { name: 'Gannet Row', offers: [{ itemId: 'Wire', priceMinor: 600 }] } },
      ]);
    });
    test('something that is not on the shelf', () => {
      const [row] = read('supplier,item,pack,price\nTwo Piers,Yeti,50,3', 'prices', shelf).rows;
      expect(row).toMatchObject({ state: 'bad', problems: [{ code: 'not_on_shelf', name: 'Yeti' }] });
    });
  });

  describe('counts', () => {
    test.each([
      ['a lot by name', 'Moss,carded sliver,Autumn,11', 'changed', null],
      ['a fibre in two lots, no lot said', 'Moss,carded sliver,,11', 'bad', 'lot_not_said'],
      ['a lot there is not', 'Moss,carded sliver,winter,11', 'bad', 'lot_not_found'],
      ['a fibre with no lot yet', 'Moss,tops,,11', 'bad', 'lot_not_found'],
      ['pieces', 'Eye,,,80', 'changed', null],
      ['a needle by number and mark', '"38 triangular, oak",,,40', 'new', null],
      ['less than nothing', 'Eye,,,-3', 'bad', 'number_out_of_range'],
    ])('%s', (_name, row, state, code) => {
      const [planned] = read(`item,prepared as,lot,on hand\n${row}`, 'counts', shelf).rows;
      expect(planned?.state).toBe(state);
      expect(planned?.problems[0]?.code ?? null).toBe(code);
    });
  });
});

test('5 000 rows are read with progress', () => {
  const text = `name,prepared as,colour\n${Array.from({ length: 5000 }, (_, i) => `Fibre ${i},tops,#6b7d36`).join('\n')}`;
  const heard: number[] = [];
  const result = readList(utf8(text), 'fibres', GUESS, EMPTY, (fraction) => heard.push(fraction));
  expect(result).toMatchObject({ ok: true });
  expect(heard.length).toBeGreaterThan(10);
  expect(BLANK_FIBRE.name).toBe('');
});
