import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Wool } from '../../src/engine/index.ts';
import {
  bagLabels,
  bagLine,
  fittedLabels,
  labelRoom,
  makePaper,
  type PaperLabel,
  type PaperSource,
  cellWords,
} from '../../src/papers/index.ts';
import { LABEL_SHEET, type LabelSheet } from '../../src/run/index.ts';
import { blankLot, type Lot, lotsPackedFrom } from '../../src/shelf/index.ts';
import { keepBackWords } from '../../src/words/index.ts';
import { classOf, coastWool, sourceOf } from '../support/coast.ts';

const label = (texts: readonly string[], more: Partial<PaperLabel> = {}): PaperLabel => ({
  title: 'Seat 1',
  bag: '',
  code: '',
  lines: texts.map((text) => ({
    swatch: null,
    text,
    grams: { kind: 'grams', massG: 1.0, scaleStepG: 0.1, isAtLeast: false } as const,
    note: '',
    parts: ['body'],
  })),
  parts: 'body, leg',
  keepBack: '',
  foot: '',
  figureKey: null,
  ...more,
});
const fitted = (labels: readonly PaperLabel[], sheet: LabelSheet) =>
  fittedLabels({ labels, figures: {} }, sheet);
const names = (count: number, letters = 5) =>
  Array.from({ length: count }, (_, at) => `${at}`.padStart(letters, 'w'));

describe('what does not fit one label', () => {
  const room = labelRoom(LABEL_SHEET);
  test('stands in two columns while that will do', () => {
    const [fittedLabel, ...others] = fitted([label(names(room * 2))], LABEL_SHEET);
    expect(others).toEqual([]);
    expect(fittedLabel).toMatchObject({ columns: 2, place: '' });
  });
  test('then goes on the next one, and each says which it is', () => {
    const all = fitted([label(names(room * 4 + 1))], LABEL_SHEET);
    expect(all.map(bagLine)).toEqual(['1 of 3', '2 of 3', '3 of 3']);
  });
  test('long names keep their line', () => {
    const all = fitted([label(names(room + 1, 25))], LABEL_SHEET);
    expect(all.map(({ columns, lines }) => [columns, lines.length])).toEqual([[1, room], [1, 1]]);
  });
  /** A name set letter by letter: a word goes on the next row where it does not fit, and is broken where it is longer than one. */
  const rowsOfName = (name: string, letters: number): number => {
    const rows: string[] = [''];
    for (const word of name.split(' ')) {
      const row = rows.at(-1) ?? '';
      if (row !== '' && row.length + 1 + word.length > letters) rows.push('');
      else if (row !== '') rows[rows.length - 1] = `${row} `;
      for (const letter of word) {
        if ((rows.at(-1) ?? '').length === letters) rows.push('');
        rows[rows.length - 1] += letter;
      }
    }
    return rows.length;
  };
  const wordsOf = (lengths: readonly number[], at: number) => [`${at}`, ...lengths.map((length) => 'x'.repeat(length))].join(' ');
  test('for any sheet and any bag: every fibre once, in its order, never more than there is room for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.array(fc.integer({ min: 1, max: 14 }), { maxLength: 6 }), fc.integer({ min: 0, max: 90 })), { maxLength: 24 }),
        fc.integer({ min: 12, max: 90 }),
        fc.integer({ min: 25, max: 110 }),
        (made, heightMm, widthMm) => {
          const lines = made.map(([lengths, noteLetters], at) => ({ swatch: null, text: wordsOf(lengths, at), grams: { kind: 'grams', massG: 12.5, scaleStepG: 0.1, isAtLeast: false } as const, note: 'n'.repeat(noteLetters), parts: [] }));
          const sheet = { ...LABEL_SHEET, heightMm, widthMm };
          const all = fitted([label([], { lines })], sheet);
          // A row is 10.4 points high, one of a note 8.2; 41 are title, bag, parts and foot. One row there always is.
          const room = Math.max(10.4, ((heightMm - 5) * 72) / 25.4 - 41);
          // 1.4 mm a letter, 8 mm a swatch, “12.5 g” and a space beside it; a name has six at least.
          const letters = Math.max(6, Math.floor((widthMm - 5 - 8) / 1.4) - 7);
          const set = all.flatMap((fittedLabel) => fittedLabel.lines.map(({ text }) => text));
          expect(set.length).toBe(lines.length);
          set.forEach((text, at) => {
            const whole = lines[at]?.text ?? '';
            if (rowsOfName(whole, letters) * 10.4 <= room + 1e-6) expect(text).toBe(whole);
            else expect(text.endsWith(' …') && whole.startsWith(text.slice(0, -2))).toBe(true);
          });
          for (const { lines: ownLines, columns, notes } of all) {
            const noteLines = notes.reduce((sum, note) => sum + Math.ceil(note.length / Math.floor((widthMm - 5) / 1.2)), 0);
            const rows = columns === 2 ? Math.ceil(ownLines.length / 2) : ownLines.reduce((sum, { text }) => sum + rowsOfName(text, letters), 0);
            expect(rows * 10.4 + noteLines * 8.2).toBeLessThanOrEqual(room + 1e-6);
          }
        },
      ),
    );
  });
}); // prettier-ignore

const lot = (name: string, onHandG: number | null, note = ''): Lot => ({
  ...blankLot(name),
  id: name,
  version: 1,
  onHandG,
  note,
});
/** The coast with these lots of chalk. */
const withLots = (lots: Lot[]): Wool => {
  const chalk = coastWool.fibres.get('chalk');
  if (!chalk) throw new Error('the coast has chalk');
  const onHandG = lots.reduce((sum, ownLot) => sum + (ownLot.onHandG ?? 0), 0);
  return { ...coastWool, fibres: new Map([...coastWool.fibres, ['chalk', { ...chalk, lots, onHandG }]]) };
}; // prettier-ignore
const sourceWith = (lots: Lot[]): PaperSource => ({
  ...sourceOf(classOf({ seats: 4, sparePacks: 0 })),
  wool: withLots(lots),
});
const WARNING = 'may bleed, rinse apart';

describe('what a lot says stands on everything packed from it', () => {
  test.each(['packs', 'contents', 'weigh-out'] as const)('%s', (name) => {
    const text = JSON.stringify(makePaper(name, sourceWith([lot('12', 900, WARNING)])).sections);
    expect(text).toContain(`ot 12: ${WARNING}`);
    expect(JSON.stringify(makePaper(name, sourceWith([lot('12', 900)])).sections)).not.toContain('ot 12');
  });
  test('labels, of the bags that hold it', () => {
    const labels = bagLabels(sourceWith([lot('12', 900, WARNING)]));
    for (const paperLabel of labels) {
      const hasChalk = paperLabel.lines.some(({ text }) => text === 'chalk');
      expect(paperLabel.lines.map(({ note }) => note).join('')).toBe(hasChalk ? `lot 12: ${WARNING}` : '');
    }
    expect(labels.some(({ lines }) => lines.some(({ note }) => note !== ''))).toBe(true);
  });
  test('of several on a label it is said whose', () => {
    const lines = names(2).map((text) => ({ swatch: null, text, grams: { kind: 'grams', massG: 1.0, scaleStepG: 0.1, isAtLeast: false } as const, note: 'lot 3: paler', parts: [] }));
    expect(fitted([label([], { lines })], LABEL_SHEET)[0]?.notes).toEqual(['wwww0, lot 3: paler', 'wwww1, lot 3: paler']);
  });
  test('a label of a part of a bag names the parts of that', () => {
    const lines = names(labelRoom(LABEL_SHEET) + 1, 25).map((text, at) => ({ swatch: null, text, grams: { kind: 'grams', massG: 1.0, scaleStepG: 0.1, isAtLeast: false } as const, note: '', parts: [`part ${at}`] }));
    expect(fitted([label([], { lines })], LABEL_SHEET).at(-1)?.parts).toBe(`part ${labelRoom(LABEL_SHEET)}`);
  });
  test('two fibres of one name are told apart by how they are prepared', () => {
    const source = sourceWith([lot('12', 900)]);
    const [chalk, slate] = [source.wool.fibres.get('chalk'), source.wool.fibres.get('slate')];
    if (!chalk || !slate) throw new Error('the coast has both');
    const fibres = new Map([...source.wool.fibres, ['slate', { ...slate, name: 'chalk', preparation: 'tops' as const }]]);
    const texts = bagLabels({ ...source, wool: { ...source.wool, fibres } }).flatMap(({ lines }) => lines.map(({ text }) => text));
    expect(texts).toContain('chalk tops');
    expect(texts).not.toContain('chalk');
  });
  test('one that nobody has counted too', () => {
    expect(lotsPackedFrom([lot('a', null, WARNING), lot('b', 0)], 5).map(({ name }) => name)).toEqual(['a']);
  });
  test('where the lot changes each pack has its own', () => {
    const whole = sourceWith([lot('old', 900)]);
    const oneG = whole.plan.groups[0]?.plan.fibres.find(({ fibreId, bag }) => fibreId === 'chalk' && bag === 'figure')?.packG ?? NaN;
    const source = sourceWith([lot('old', oneG * 2.5, 'the old one'), lot('new', 900, 'the new one')]);
    const figures = bagLabels(source).filter(({ bag, keepBack }) => bag === '' && keepBack === '').map(({ lines }) => lines.map(({ note }) => note).join(''));
    expect(figures).toEqual(['lot old: the old one', 'lot old: the old one', 'lot new: the new one', 'lot new: the new one']);
  });
}); // prettier-ignore

test.each<[string, Parameters<typeof keepBackWords>[0], string]>([
  ['of joins', { holds: { kind: 'joins' }, isKeptBack: true }, 'Keep to the end'],
  ['of a later session', { holds: { kind: 'session', number: 2, name: '' }, isKeptBack: true }, 'Keep for later'],
  ['only if needed', { holds: { kind: 'if-needed' }, isKeptBack: true }, 'Open only if needed'],
  ['opened at the start', { holds: { kind: 'figure' }, isKeptBack: false }, ''],
])('when a bag is opened: %s', (_name, bag, words) => {
  expect(keepBackWords(bag)).toBe(words);
}); // prettier-ignore

test('the pack list says of a later session’s bag what its label says', () => {
  const source = sourceOf(classOf({ seats: 1, sparePacks: 0, bagging: 'session' }));
  const notes = makePaper('packs', source).sections[0]?.rows.map(({ cells, note = '' }) => [cells.map(cellWords)[0], note] as const);
  const later = notes?.filter(([bag]) => bag?.startsWith('session 2'));
  expect(later?.length).toBeGreaterThan(0);
  for (const [, note] of later ?? []) expect(note).toContain('keep for later');
}); // prettier-ignore
