import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  labelCode,
  labelCodeInGroups,
  LABEL_SIGNS,
  placeOfCode,
  readLabelCode,
  runSigns,
} from '../../src/run/index.ts';

const place = fc.record({
  runId: fc.string({ minLength: 1, maxLength: 24 }),
  packId: fc.string({ minLength: 1, maxLength: 30 }),
  bagKey: fc.option(fc.string({ minLength: 1, maxLength: 40 })),
});

describe('the code of a label', () => {
  test('is twelve capital letters and digits, none that look alike, and the same for the same place', () => {
    fc.assert(
      fc.property(place, (each) => {
        const code = labelCode(each);
        expect(code).toMatch(/^[2-9A-HJKMNP-TV-Z]{12}$/);
        expect(code).toHaveLength(LABEL_SIGNS);
        expect(labelCode({ ...each })).toBe(code);
        expect(code.startsWith(runSigns(each.runId))).toBe(true);
      }),
    );
  });
  test('is another for each of the bags of two thousand packs', () => {
    const codes = Array.from({ length: 2000 }, (_, pack) =>
      [null, 'figure', 'joins', 'stage felting', 'spare-bag'].map((bagKey) =>
        labelCode({ runId: 'x7', packId: `seat ${pack + 1}`, bagKey }),
      ),
    ).flat();
    expect(new Set(codes).size).toBe(codes.length);
  });
  test('in its signs nothing is more frequent than chance makes it', () => {
    // 30 signs at 11 places of 3 000 codes: χ² of 29 degrees is under 58 in 999 of 1 000.
    const counts = Array.from({ length: 11 }, () => new Map<string, number>());
    for (let pack = 0; pack < 3000; pack++)
      [...labelCode({ runId: `run ${pack}`, packId: `seat ${pack}`, bagKey: null })]
        .slice(0, 11)
        .forEach((sign, at) => counts[at]?.set(sign, (counts[at].get(sign) ?? 0) + 1));
    for (const signs of counts) {
      const chi2 = [...signs.values()].reduce((sum, count) => sum + (count - 100) ** 2 / 100, 0);
      expect(signs.size).toBe(30);
      expect(chi2).toBeLessThan(58);
    }
  });
  test('is read however it is typed', () => {
    fc.assert(
      fc.property(place, (each) => {
        const code = labelCode(each);
        for (const typed of [code, labelCodeInGroups(code), ` ${code.toLowerCase()}\r`, code.split('').join(' ')])
          expect(readLabelCode(typed)).toEqual({ kind: 'code', code });
      }),
    );
  }); // prettier-ignore
  test('with any one sign wrong it is told to be misread', () => {
    const code = labelCode({ runId: 'r', packId: 'seat 1', bagKey: 'figure' });
    for (let at = 0; at < code.length; at++)
      for (const sign of '23456789ABCDEFGHJKMNPQRSTVWXYZ0OI1LU') {
        if (sign === code[at]) continue;
        expect(readLabelCode(code.slice(0, at) + sign + code.slice(at + 1))).toEqual({ kind: 'misread' });
      }
  });
  test('two neighbours that changed places are told, all but the one pair Luhn’s sum cannot tell', () => {
    fc.assert(
      fc.property(place, fc.nat(LABEL_SIGNS - 2), (each, at) => {
        const code = labelCode(each);
        const [first = '', second = ''] = [code[at], code[at + 1]];
        const isBlind = first === second || ['2Z', 'Z2'].includes(first + second);
        const swapped = code.slice(0, at) + second + first + code.slice(at + 2);
        expect(readLabelCode(swapped).kind).toBe(isBlind ? 'code' : 'misread');
      }),
      { numRuns: 500 },
    );
  }); // prettier-ignore
  test.each([
    ['nothing', ''],
    ['the code of a learner’s pack', 'ABCDE-FGHJK'],
    ['an address', 'https://studio.local/pack'],
    ['a shop’s bar code', '4006381333931'],
  ])('%s is none', (_, text) => {
    expect(readLabelCode(text)).toEqual({ kind: 'no-code' });
  });
  test('is found again among the packs of its run, and in no other', () => {
    const packs = ['seat a', 'seat b', 'spare 1'].map((packId) => ({ packId, bagKeys: ['figure', 'joins'] }));
    for (const { packId, bagKeys } of packs)
      for (const bagKey of [null, ...bagKeys]) {
        const code = labelCode({ runId: 'run-1', packId, bagKey });
        expect(placeOfCode(code, 'run-1', packs)).toEqual({ runId: 'run-1', packId, bagKey });
        expect(placeOfCode(code, 'run-2', packs)).toBeNull();
      }
    expect(placeOfCode(labelCode({ runId: 'run-1', packId: 'seat c', bagKey: null }), 'run-1', packs)).toBeNull();
  }); // prettier-ignore
});
