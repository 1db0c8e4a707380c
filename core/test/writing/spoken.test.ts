import { describe, expect, test } from '@jest/globals';
import { NO_CHOICES } from '../../src/pattern/index.ts';
import {
  type BagHolds,
  packGroups,
  type Parting,
  RUN_STATES,
  RUN_WANTS,
  blankSeat,
} from '../../src/run/index.ts';
import { TOOL_KEYS } from '../../src/shelf/index.ts';
import {
  BAGGING_WORDS,
  bagWords,
  BOX_FORM_WORDS,
  CAUTION_NAMES,
  CAUTION_WORDS,
  creditLine,
  groupWords,
  linkWords,
  needName,
  ownerWords,
  packWords,
  partingWords,
  RUN_STATE_WORDS,
  showDay,
  wantsWords,
  remarkWords,
} from '../../src/words/index.ts';
import { ORDER_REASONS, type OrderLink } from '../../src/writing/index.ts';
import { bird, classOf, coastDesigns, duo, kitsOf, stillDesigns } from '../support/coast.ts';
import { EVERY_FINDING, faulty } from '../support/findings.ts';

const SENTENCE = /^(?!.*(?:undefined|NaN|null))[A-Z≥“0-9a-z].*[.!?)]$/s;

describe('what is to be looked at in the writing', () => {
  test.each(Object.values(EVERY_FINDING))('$code: a sentence, with what to do', (finding) => {
    expect(remarkWords(finding, faulty)).toMatch(SENTENCE);
  });
  test('no two read alike', () => {
    const all = Object.values(EVERY_FINDING).map((finding) => remarkWords(finding, faulty));
    expect(new Set(all).size).toBe(all.length);
  });
  test.each([
    ['an order that is broken, with both numbers', EVERY_FINDING.order_broken, 'Out of order: step 2 before step 1: Leg: it is made before it is joined.'],
    ['a slot, its rule and where', EVERY_FINDING.slot_rule_broken, 'Shade is not darker than skin in Dusk. Choose another fibre.'],
    ['a tool by its name', EVERY_FINDING.tool_not_listed, 'A step uses it, and it is left off the list: finger guards.'],
    ['a tool of the author’s', EVERY_FINDING.tool_not_used, 'Listed, and no step speaks of it: a bowl.'],
    ['an answer and its question', EVERY_FINDING.value_never_allowed, '“tall” of a hat can never be chosen: its limits forbid it in every build.'],
  ])('names %s', (_name, finding, words) => {
    expect(remarkWords(finding, faulty)).toBe(words);
  });
  test('a rule broken as it is written, and a slot that went meanwhile', () => {
    const { rule } = EVERY_FINDING.slot_rule_broken;
    const written = { ...EVERY_FINDING.slot_rule_broken, rule: { ...rule, colourwayId: null, thanSlotId: 'gone' } };
    expect(remarkWords(written, faulty)).toBe('Shade is not darker than a slot in the pattern as written. Choose another fibre.');
  });
  const link = (reason: (typeof ORDER_REASONS)[number], partId: string | null): OrderLink => ({
    by: 'derived', beforeId: 'first', afterId: 'second', strength: 'must', reason, partId,
  });
  test.each(ORDER_REASONS)('%s: why, in words of its own, with and without a part', (reason) => {
    const [bare, named] = [linkWords(link(reason, null), faulty), linkWords(link(reason, 'Leg'), faulty)];
    expect(bare).toMatch(/^step 1 before step 2: [a-z]/);
    expect(named).toBe(bare.replace(': ', ': Leg: '));
    expect(bare).not.toContain(reason);
  });
  test('why, if the author said so', () => {
    const given = { by: 'author', beforeId: 'first', afterId: 'second', strength: 'easier' } as const;
    expect(linkWords({ ...given, words: 'it dries flat' }, faulty)).toBe('step 1 before step 2: it dries flat');
    expect(linkWords({ ...given, words: ' ' }, faulty)).toBe('step 1 before step 2: the author said so');
  });
  test('every tool has a name a shop would know, and every caution its warning', () => {
    const names = TOOL_KEYS.map((tool) => needName({ what: { is: 'tool', tool } }));
    expect(new Set(names).size).toBe(TOOL_KEYS.length);
    for (const name of names) expect(name).toMatch(/^[a-z][a-z ]+$/);
    expect(needName({ what: { is: 'needle', wanted: { by: 'gauge', gauge: 38, profile: null } } })).toBe('38 needle');
    expect(Object.keys(CAUTION_WORDS)).toEqual(Object.keys(CAUTION_NAMES));
    for (const words of Object.values(CAUTION_WORDS)) expect(words).toMatch(SENTENCE);
  });
}); // prettier-ignore

describe('runs in words', () => {
  test.each(RUN_WANTS)('what %s are missing: for one and for many', (wants) => {
    const [oneWanted, many] = [wantsWords(wants, 1), wantsWords(wants, 3)];
    expect(oneWanted).toMatch(SENTENCE);
    expect(oneWanted).toMatch(/^1 [a-z]+ /);
    expect(many).toMatch(/^3 [a-z]+s /);
  });
  test('states, bags and boxes each have a word of their own', () => {
    expect(RUN_STATES.map((state) => RUN_STATE_WORDS[state])).toEqual(RUN_STATES);
    for (const words of [BAGGING_WORDS, BOX_FORM_WORDS]) {
      expect(new Set(Object.values(words)).size).toBe(Object.keys(words).length);
    }
  });
  const [group] = packGroups(coastDesigns, classOf());
  const [box] = packGroups(coastDesigns, kitsOf([duo()]));
  const words = (holds: BagHolds, makeAt: number | null = null, of = group) =>
    bagWords({ holds, makeAt, merged: [] }, of ?? { makes: [] }, (id) => `wool ${id}`);
  test.each<[BagHolds, string]>([
    [{ kind: 'figure' }, ''],
    [{ kind: 'joins' }, 'bag of joins'],
    [{ kind: 'if-needed' }, 'only if needed'],
    [{ kind: 'stage', stage: 'coat' }, 'Coat'],
    [{ kind: 'session', number: 2, name: '' }, 'session 2'],
    [{ kind: 'session', number: 2, name: 'feathers' }, 'session 2: feathers'],
    [{ kind: 'colour', fibreId: 'slate' }, 'wool slate'],
    [{ kind: 'part', owner: { kind: 'part', id: 'leg' } }, 'leg'],
    [{ kind: 'part', owner: { kind: 'join', id: 'leg-body' } }, 'leg to body'],
    [{ kind: 'own', name: 'for the train' }, 'for the train'],
    [{ kind: 'spare-bag' }, 'spare bag for all'],
    [{ kind: 'undecided' }, 'laid out for who has not chosen'],
  ])('a bag: %j', (holds, expected) => {
    expect(words(holds)).toBe(expected);
  });
  test('in a box of several designs a bag says whose it is; alone it need not', () => {
    expect(words({ kind: 'figure' }, 1, box)).toBe('Pear');
    expect(words({ kind: 'joins' }, 0, box)).toBe('Bird, bag of joins');
    expect(words({ kind: 'joins' }, 0, group)).toBe('bag of joins');
  });
  test('a part or join that went has no name, and nothing is made up', () => {
    expect(ownerWords({ kind: 'part', id: 'gone' }, bird)).toBe('');
    expect(ownerWords({ kind: 'join', id: 'gone' }, bird)).toBe('');
  });
  test.each([
    ['seat', 3, 'Mara', '3 · Mara'],
    ['seat', 3, '', 'Seat 3'],
    ['box', 7, 'Coast duo', 'Box 7 · Coast duo'],
    ['box', 7, '', 'Box 7'],
    ['spare', 1, '', 'Spare 1'],
    ['spare', 2, 'Coast duo', 'Spare 2 · Coast duo'],
    ['demonstration', 1, '', 'Demonstration'],
    ['demonstration', 2, '', 'Demonstration 2'],
    ['sample', 1, '', 'Sample 1'],
  ] as const)('a pack: %s %d %s', (kind, number, name, expected) => {
    expect(packWords({ kind, number, name })).toBe(expected);
  });
  test('what sorts of pack there are', () => {
    const roster = [
      { seat: 1, choices: { values: {}, colourwayId: 'dusk', swapIds: ['grey'] } },
      { seat: 2, choices: { ...NO_CHOICES, values: {}, swapIds: [] } },
    ].map((given) => ({ ...blankSeat(given.seat), ...given }));
    const of = (more = {}, designs = coastDesigns) => packGroups(designs, classOf({ seats: 2, sparePacks: 0, roster, ...more })).map(groupWords);
    expect(of()).toEqual(['Dusk, plum for slate', 'as written']);
    expect(of({ wantedChance: 0.95, skill: 'practised' })).toEqual(['Dusk, plum for slate, practised', 'as written, practised']);
    expect(of({ hasStageSamples: true }, stillDesigns)).toEqual(['Dusk, plum for slate', 'as written', 'up to step 2']);
    expect(of({ undecidedChance: 0.9, roster: [] })).toEqual(['not chosen yet']);
    expect(packGroups(coastDesigns, kitsOf([duo()])).map(groupWords)).toEqual(['Coast duo']);
  });
  test.each<[Partial<Parting>, string]>([
    [{ halvings: 1, into: [] }, 'halve it'],
    [{ halvings: 2, into: [] }, 'halve it twice'],
    [{ halvings: 3, into: [] }, 'halve it 3 times'],
    [{ halvings: 0, into: [3] }, 'part it in 3'],
    [{ halvings: 0, into: [3, 5] }, 'part it in 3, then each in 5'],
    [{ halvings: 2, into: [3] }, 'halve it twice, then each in 3'],
  ])('parted: %j', (parting, expected) => {
    expect(partingWords(parting as Parting)).toBe(expected);
  });
  test('credits in one line', () => {
    expect(creditLine(['Design: Ines', 'Words: Bram'])).toBe('Design: Ines · Words: Bram');
  });
  test.each([
    ['2026-11-28', {}, 'Sat 28 Nov'],
    ['2026-11-28', { year: true }, 'Sat 28 Nov 2026'],
    ['some day', { year: true }, 'some day'],
  ])('the day %s %j', (date, how, expected) => {
    expect(showDay(date, how)).toBe(expected);
  });
}); // prettier-ignore
