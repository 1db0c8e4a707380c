import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  findPatternFile,
  mapShelf,
  NEWEST,
  patternFile,
  type PlainShelf,
  proposeMapping,
} from '../../src/files/index.ts';
import { blankPattern, type Pattern } from '../../src/pattern/index.ts';
import { BLANK_FINDING, byGauge, type Fibre, type Finding, type Needle } from '../../src/shelf/index.ts';
import { bird } from '../support/coast.ts';
import { fibre } from '../support/make.ts';
import { needle } from '../support/needles.ts';

const eye = (id: string, more: Partial<Finding> = {}): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand: 4,
  peak: 9,
  ...more,
});
const figure: Pattern = {
  ...bird,
  steps: bird.steps.map((step) => ({ ...step, needle: byGauge(38) })),
}; // prettier-ignore
const shelf: PlainShelf = {
  fibres: ['chalk', 'slate', 'amber', 'ink', 'plum', 'unused'].map((id) =>
    fibre(id, { note: 'from the market', pricePer100gMinor: 420, colour: '#6b7d36' }),
  ),
  findings: [
    eye('eye', { place: 'drawer 3', priceMinor: 100, note: 'last of them' }),
    eye('bead'),
    eye('unused'),
  ],
  needles: [needle('oak', { gauge: 38, place: 'tin', priceMinor: 60 }), needle('fir', { gauge: 42 })],
};

describe('a pattern on its way to another shelf', () => {
  const file = patternFile(figure, shelf);
  test('carries what it names, and nothing else', () => {
    expect(file.shelf.fibres.map(({ id }) => id)).toEqual(['chalk', 'slate', 'amber', 'ink', 'plum']);
    expect(file.shelf.findings.map(({ id }) => id)).toEqual(['eye', 'bead']);
    expect(file.shelf.needles.map(({ id }) => id)).toEqual(['oak']);
  });
  test('says what things are, not what they cost, where they lie or how many there are', () => {
    const text = JSON.stringify(file.shelf);
    for (const secret of ['from the market', '420', 'drawer 3', 'last of them', 'tin', 'onHand', 'lots']) {
      expect(text).not.toContain(secret);
    }
    expect(file.shelf.fibres[0]?.is).toMatchObject({ name: 'chalk', colour: '#6b7d36', pricePer100gMinor: null, note: '' });
  });
  test('written and found again it is the same', () => {
    expect(findPatternFile(JSON.stringify(file))).toEqual({ ok: true, value: file });
  });
  test('a bare pattern is a file that carries nothing', () => {
    const found = findPatternFile(JSON.stringify(figure));
    expect(found).toMatchObject({ ok: true, value: { pattern: figure, shelf: { fibres: [], findings: [], needles: [] } } });
  });
}); // prettier-ignore

describe('what is no pattern of ours', () => {
  const refusalOf = (text: string) => {
    const found = findPatternFile(text);
    return found.ok ? null : found.refusal;
  };
  const bare = { format: 'lanakit-pattern', formatVersion: NEWEST.pattern, parts: [], steps: [] };
  test.each<[string, unknown, string]>([
    ['a list', [1, 2], 'not_a_pattern'],
    ['nothing', null, 'not_a_pattern'],
    ['a number', 7, 'not_a_pattern'],
    ['something of another format', { format: 'knitting', parts: [], steps: [] }, 'not_a_pattern'],
    ['no parts', { ...bare, parts: null }, 'not_a_pattern'],
    ['steps that are no list', { ...bare, steps: {} }, 'not_a_pattern'],
    ['a version in words', { ...bare, formatVersion: 'four' }, 'not_a_pattern'],
    ['version nought', { ...bare, formatVersion: 0 }, 'not_a_pattern'],
    ['a newer pattern', { ...bare, formatVersion: NEWEST.pattern + 1 }, 'newer'],
    ['a newer file', { format: 'lanakit-pattern-file', formatVersion: NEWEST.file + 1, pattern: bare }, 'newer'],
    ['a file without a pattern', { format: 'lanakit-pattern-file', formatVersion: 1 }, 'not_a_pattern'],
  ])('%s', (_name, value, code) => {
    expect(refusalOf(JSON.stringify(value))?.code).toBe(code);
  });
  test('a newer one says which it is and which can be read', () => {
    expect(refusalOf(JSON.stringify({ ...bare, formatVersion: 99 }))).toEqual({ code: 'newer', version: 99, newest: NEWEST.pattern });
  });
  test('any text at all is read or refused, and never throws', () => {
    fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), (text) => void findPatternFile(text)));
  });
  test('nor does a pattern with anything in it', () => {
    const anything = fc.record({ format: fc.constant('lanakit-pattern'), formatVersion: fc.nat(5), parts: fc.array(fc.anything()), steps: fc.array(fc.anything()), joins: fc.anything() }, { requiredKeys: ['format', 'parts', 'steps'] });
    fc.assert(
      fc.property(anything, (value) => {
        let text: string;
        try {
          text = JSON.stringify(value);
        } catch {
          return;
        }
        findPatternFile(text);
      }),
    );
  });
}); // prettier-ignore

describe('onto another shelf', () => {
  const carried = patternFile(figure, shelf);
  const proposed = (more: Partial<PlainShelf>) => {
    const mapping = proposeMapping(carried, { fibres: [], findings: [], needles: [], ...more });
    return (id: string) => mapping.filter((candidate) => candidate.id === id).map(({ match, itemId }) => [match, itemId])[0];
  };
  const here = (id: string, name: string, more: Partial<Fibre> = {}) => fibre(id, { name, ...more });
  test.each<[string, Fibre[], (string | null)[]]>([
    ['the same by its name, however it is written', [here('h1', ' CHALK ')], ['same', 'h1']],
    ['its own id before another of that name', [here('h1', 'chalk'), here('chalk', 'chalk')], ['same', 'chalk']],
    ['an id that is another thing here is not it', [here('chalk', 'coal', { colour: '#101010' })], ['none', null]],
    ['the name of another preparation is not it', [here('h1', 'chalk', { preparation: 'felt', colour: '#101010' })], ['none', null]],
    ['what is archived is not offered', [here('h1', 'chalk', { archived: true })], ['none', null]],
    ['the nearest colour of its preparation', [here('h1', 'moss', { colour: '#6c7e36' }), here('h2', 'sage', { colour: '#7b8d46' })], ['nearest', 'h1']],
    ['too far a colour is none', [here('h1', 'snow', { colour: '#ffffff' })], ['none', null]],
  ])('a fibre: %s', (_name, fibres, expected) => {
    expect(proposed({ fibres })('chalk')).toEqual(expected);
  });
  test.each<[string, Finding[], (string | null)[]]>([
    ['the same by its name', [eye('h1', { name: 'Eye' })], ['same', 'h1']],
    ['none of that name', [eye('h1', { name: 'button' })], ['none', null]],
  ])('a finding: %s', (_name, findings, expected) => {
    expect(proposed({ findings })('eye')).toEqual(expected);
  });
  test.each<[string, Needle[], (string | null)[]]>([
    ['its gauge and profile', [needle('h1', { gauge: 38, profile: 'star' }), needle('h2', { gauge: 38 })], ['same', 'h2']],
    ['its gauge at least', [needle('h1', { gauge: 38, profile: 'star' })], ['nearest', 'h1']],
    ['another gauge is none', [needle('h1', { gauge: 40 })], ['none', null]],
  ])('a needle: %s', (_name, needles, expected) => {
    expect(proposed({ needles })('oak')).toEqual(expected);
  });
  test('every mention is of the new shelf, and none of the sender’s is left', () => {
    const mapped = mapShelf(figure, (id) => `here-${id}`);
    const text = JSON.stringify(mapped);
    for (const id of ['chalk', 'slate', 'amber', 'eye', 'bead']) {
      expect(text).not.toMatch(new RegExp(`"(?:fibreId|findingId)":"${id}"`));
    }
    expect(mapped.colourways[0]?.fills).toEqual([{ slotId: 'coat', fibreId: 'here-plum' }]);
    expect(mapShelf(mapped, (id) => id.replace('here-', ''))).toEqual(figure);
  });
  test('what has no place here is unknown; a colour without its fibre is no colour', () => {
    const mapped = mapShelf(figure, (id) => (id === 'plum' ? null : id));
    expect(mapped.colourways[0]?.fills).toEqual([]);
    expect(mapped.swaps[1]).toMatchObject({ to: { fibreId: null } });
    expect(mapShelf(blankPattern('x'), () => null)).toEqual(blankPattern('x'));
  });
}); // prettier-ignore
