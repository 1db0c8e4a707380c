import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  bagLabels,
  labelPlaces,
  makePaper,
  PAPER_NAMES,
  paperTable,
  swatchSvg,
  cellWords,
} from '../../src/papers/index.ts';
import {
  blankSeat,
  checkLabelSheet,
  COST_DEFAULTS,
  costOfRun,
  LABEL_SHEET,
  PAGE_SIZES_MM,
  paidForMinor,
  type RunInput,
  withdrawalsOfPlan,
} from '../../src/run/index.ts';
import { bird, classOf, coastWool, duo, kitsOf, sourceOf } from '../support/coast.ts';
import { fibre } from '../support/make.ts';

const wholeClass = classOf({
  seats: 5,
  roster: [
    { ...blankSeat(1), name: 'Mara', isLeftHanded: true, note: 'comes late', choices: { values: {}, colourwayId: 'dusk', swapIds: [] } },
    { ...blankSeat(2), name: '=1+1', choices: { values: {}, colourwayId: null, swapIds: ['felt-eyes'] } },
  ],
}); // prettier-ignore

describe('papers', () => {
  test.each(PAPER_NAMES)('%s is made for a class and for kits, with nothing undefined in it', (name) => {
    for (const input of [wholeClass, kitsOf([duo(), duo({ id: 'r', name: 'Refill', form: 'refill' })])]) {
      const paper = makePaper(name, sourceOf(input));
      expect(paper.title).not.toBe('');
      expect(JSON.stringify(paper)).not.toMatch(/undefined|NaN|no longer on the shelf/);
      for (const section of paper.sections)
        for (const line of section.rows) expect(line.cells).toHaveLength(section.columns.length);
    }
  });
  test('the contents card counts what the pattern counts: findings of every make, nothing more, spares beside', () => {
    const source = sourceOf(kitsOf([duo({ designs: [{ revisionId: 'bird-1', copies: 3, choices: { values: {}, colourwayId: null, swapIds: [] } }] })]));
    const [card] = makePaper('contents', source).sections;
    const patternEstimate = estimatePattern(bird, coastWool);
    for (const { findingId, most } of patternEstimate.findings) {
      const line = card?.rows.map(({ cells }) => cells.map(cellWords)).find(([, what]) => what === findingId);
      expect(line?.[2]).toBe(String(most * 3));
    }
    const wool = (card?.rows ?? []).filter(({ swatch }) => swatch !== null).map(({ cells }) => cells.map(cellWords)[1]);
    expect(new Set(wool).size).toBe(new Set(patternEstimate.uses.map(({ fibreId }) => fibreId)).size);
  });
  test('who is left-handed, has another choice or a swap finds it on their own list', () => {
    const { sections } = makePaper('packs', sourceOf(wholeClass));
    const [mara, second, third] = sections;
    expect(mara?.notes.join(' ')).toContain('Bird, revision 3: Dusk');
    expect(mara?.notes.join(' ')).toContain('comes late');
    expect(mara?.notes.join(' ')).toContain('Step 2 for the left hand: Wrap the legs anticlockwise');
    expect(second?.notes.join(' ')).toContain('Step 4 now reads: Set on the legs, and sew the beads on for eyes');
    expect(third?.notes).toEqual(['Bird, revision 3: as written']);
  });
  test('the table of a paper adds up to the run, and a formula is no formula in it', () => {
    const source = sourceOf(wholeClass);
    const { data } = Papa.parse<Record<string, string>>(paperTable(makePaper('labels', source)).slice(1), { header: true, skipEmptyLines: true });
    const singly = source.plan.groups.flatMap(({ packs, plan }) => plan.fibres.map(({ packG, exactG }) => packs * (packG ?? Number(exactG.toFixed(exactG < 1 ? 2 : 1)))));
    const all = data.reduce((sum, line) => sum + Number(line['Grams']), 0);
    expect(all).toBeCloseTo(singly.reduce((sum, massG) => sum + massG, 0), 6);
    expect(paperTable(makePaper('room', source))).toContain("2 =1+1");
  });
  test('what is short says whose packs go without', () => {
    const { sections } = makePaper('shortage', sourceOf(classOf({ seats: 30 })));
    const chalk = sections[0]?.rows.map(({ cells }) => cells.map(cellWords)).find(([fibre]) => fibre?.startsWith('chalk'));
    expect(chalk?.at(-1)).toMatch(/^seats 1\d–30, Spare 1$/);
  });
  test('a swatch tells its preparation without colour', () => {
    expect(swatchSvg({ colour: '#e6e0d2', preparation: 'tops' }, 40, 10)).not.toBe(swatchSvg({ colour: '#e6e0d2', preparation: 'carded' }, 40, 10));
    expect(swatchSvg({ colour: '#111111', preparation: 'felt' }, 40, 10)).toContain('stroke="#ffffff"');
  });
}); // prettier-ignore

describe('labels', () => {
  test('one for each bag of each pack; what is kept back says so', () => {
    const source = sourceOf(wholeClass);
    const labels = bagLabels(source);
    const bags = source.packs.reduce((sum, { groupKey }) => sum + (source.plan.groups.find(({ key }) => key === groupKey)?.plan.bags.length ?? 0), 0);
    expect(labels).toHaveLength(bags);
    expect(labels[0]).toMatchObject({ title: '1 · Mara (left-handed)', bag: '', keepBack: '', parts: 'body, leg, spot' });
    expect(labels[1]).toMatchObject({ bag: 'bag of joins', keepBack: 'Keep to the end', parts: 'leg to body' });
    expect(labels[2]).toMatchObject({ keepBack: 'Open only if needed' });
  });
  const mmOf = (max: number) => fc.integer({ min: 0, max });
  test('every label lies on its page and none on another, for any sheet that is not refused', () => {
    fc.assert(
      fc.property(
        fc.record({ page: fc.constantFrom('a4' as const, 'letter' as const), rows: fc.integer({ min: 1, max: 14 }), columns: fc.integer({ min: 1, max: 6 }), topMm: mmOf(30), leftMm: mmOf(30), heightMm: fc.integer({ min: 10, max: 90 }), widthMm: fc.integer({ min: 15, max: 100 }), gapDownMm: mmOf(8), gapAcrossMm: mmOf(8), used: fc.nat(20) }),
        fc.integer({ min: 1, max: 90 }),
        (sheet, count) => {
          const problems = checkLabelSheet(sheet);
          const places = labelPlaces(sheet, count);
          const page = PAGE_SIZES_MM[sheet.page];
          const isOff = places.some(({ xMm, yMm }) => xMm + sheet.widthMm > page.widthMm + 1e-9 || yMm + sheet.heightMm > page.heightMm + 1e-9);
          if (problems.length === 0) expect(isOff).toBe(false);
          const keys = places.map(({ sheet: place, xMm, yMm }) => `${place} ${xMm} ${yMm}`);
          expect(new Set(keys).size).toBe(count);
          if (sheet.used < sheet.rows * sheet.columns) expect(places[0]?.sheet).toBe(0);
        },
      ),
    );
  });
  test.each([
    ['the usual sheet', {}, []],
    ['more columns than there is room for', { columns: 4 }, ['/columns']],
    ['more rows', { rows: 9 }, ['/rows']],
    ['lower on Letter', { page: 'letter' as const, topMm: 20 }, ['/rows']],
    ['no rows', { rows: 0 }, ['/rows']],
    ['all used up', { used: 21 }, ['/used']],
    ['a width that is no number', { widthMm: Number.NaN }, ['/widthMm']],
  ])('%s', (_name, more, pointers) => {
    expect(checkLabelSheet({ ...LABEL_SHEET, ...more }).map(({ pointer }) => pointer)).toEqual(pointers);
  });
}); // prettier-ignore

describe('what a run costs', () => {
  const today = new Map<string, number | null>([...coastWool.fibres.keys()].map((id) => [id, 500]));
  const costOf = (input: RunInput, more: Partial<typeof COST_DEFAULTS> = {}) => {
    const { toPack, plan } = sourceOf(input);
    return { plan, cost: costOfRun(toPack, plan, { ...COST_DEFAULTS, hourlyWageMinor: 1800, ...more }, { wool: coastWool.fibres, findings: coastWool.findings, todayPer100gMinor: today, kit: null, needles: [], spareTerms: input }) };
  };
  test('wool of all packs together costs what the shelf gives up, what is lost in weighing with it', () => {
    const { plan, cost } = costOf(classOf({ weighingLossFraction: 0.05 }));
    const grams = [...withdrawalsOfPlan(plan).values()].reduce((sum, massG) => sum + massG, 0);
    const wool = cost.packs.reduce((sum, { fibres, packs }) => sum + fibres.minor * packs, 0);
    expect(wool).toBeCloseTo(grams * 5, 6);
  });
  test('the price leaves the margin, and the number it pays from is the least that does: judged number by number', () => {
    const { cost } = costOf(classOf({ seats: 12, sparePacks: 2 }), { marginFraction: 0.4 });
    if (cost.priceMinor === null || cost.paysFrom === null) throw new Error('a price');
    const income = cost.priceMinor * cost.sold;
    expect((income - cost.whole.minor) / income).toBeGreaterThanOrEqual(0.4 - 1e-9);
    expect(((cost.priceMinor - 1) * cost.sold - cost.whole.minor) / ((cost.priceMinor - 1) * cost.sold)).toBeLessThan(0.4);
    const eachMinor = (cost.whole.minor - cost.fixed.minor) / cost.sold;
    const pays = (count: number) => count * (cost.priceMinor ?? 0) >= cost.fixed.minor + count * eachMinor;
    const least = Array.from({ length: 60 }, (_, at) => at + 1).find(pays);
    expect(cost.paysFrom).toBe(least);
  });
  test('without a price of something there is none for the run, and it is named', () => {
    today.set('plum', null);
    const { cost } = costOf(classOf({ swapIds: ['grey'] }));
    expect(cost.priceMinor).toBeNull();
    expect(cost.unpriced).toEqual(['plum']);
  });
  test.each([
    ['within the first lot', 40, { minor: 40 * 3, unknownCount: 0 }],
    ['over both, and past them at today’s price', 130, { minor: 50 * 3 + 50 * 4 + 30 * 6, unknownCount: 0 }],
  ])('paid: %s', (_name, massG, expected) => {
    const lot = (name: string, pricePer100gMinor: number) => ({ id: name, version: 1, name, note: '', place: '', receivedOn: null, pricePer100gMinor, overrides: fibreOverrides, onHandG: 50 });
    expect(paidForMinor(fibre('x', { lots: [lot('a', 300), lot('b', 400)] }), massG, 600)).toEqual(expected);
  });
  const fibreOverrides = { colour: null, feltsAlone: null, fineness: null, stapleMm: null, linearGPerM: null, arealGPerM2: null, loftGPerCm3: null, smallestPartMm: null, hidingGPerM2: null, densityFactor: null };
}); // prettier-ignore
