import { describe, expect, test } from '@jest/globals';
import {
  BLANK_STEP,
  blankPart,
  blankPattern,
  needleOf,
  type Pattern,
  type Step,
} from '@lanakit/core/pattern';
import { byGauge, distinctNeedles, type NeedleWanted, PROFILES, wantedKey } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import fc from 'fast-check';
import { readSlash, slashChoices } from '../../src/writing/steps/slash.ts';

const needles: NeedleWanted[] = [
  byGauge(38),
  byGauge(38.5, 'star'),
  ...PROFILES.map((profile) => byGauge(40, profile)),
  { by: 'feel', feel: 'small' },
];
const step = (id: string, more: Partial<Step> = {}): Step => ({ ...BLANK_STEP, id, text: id, ...more });
const pattern: Pattern = {
  ...blankPattern('A figure'),
  parts: [blankPart('body', 'Body'), blankPart('n-1_x', 'Left wing'), blankPart('mute', '')],
  findings: [
    { id: 'eyes', findingId: 'eye-6', partId: 'body', count: 2, placement: null },
    { id: 'loose', findingId: 'bead', partId: null, count: 1, placement: null },
    { id: 'unchosen', findingId: null, partId: null, count: 1, placement: null },
  ],
  steps: needles.map((needle, index) => step(`s${index}`, { needle, stage: 'core' })),
};
const nameOf = (id: string) => new Map([['eye-6', 'black eye'], ['bead', 'bead']]).get(id); // prettier-ignore
const techniques = [{ id: 'Ab3_-x', name: 'Rolled limb' }];
const choices = slashChoices(pattern, nameOf, techniques);
const read = (text: string) => readSlash(text, pattern, nameOf);
const needleLabels = distinctNeedles(needles).map((wanted) => `needle ${wantedName(wanted)}`);
/** What a choice makes of a step. */
const changed = (text: string, ownStep: Step = step('now')): Step => {
  const found = read(text);
  if (found?.kind !== 'step') throw new Error(`no step is read from ${text}`);
  return { ...ownStep, ...found.change(ownStep, 'new-id') };
};

describe('what / offers', () => {
  test('every part, finding with a name, needle that is used, and technique', () => {
    expect(choices.map(({ label }) => label)).toEqual([
      'part 1 Body',
      'part 2 Left wing',
      'part 3 ',
      'finding black eye',
      'finding bead',
      ...needleLabels,
      'check before going on',
      'wait: it sets or dries',
      'technique Rolled limb',
    ]);
  }); // prettier-ignore
  test('the usual needles while none is said', () => {
    const bare = slashChoices({ ...pattern, steps: [] }, nameOf, []);
    expect(bare.filter(({ value }) => value.startsWith('needle')).map(({ label }) => label)).toEqual(['needle 36', 'needle 38', 'needle 40']);
  }); // prettier-ignore
  test.each(choices.map(({ value, label }) => [label, value]))('%s is understood when it is taken', (_label, value) => {
    const before = 'Roll it, ';
    const found = read(`${before}/${value} then felt`);
    expect(found).not.toBeNull();
    expect(found?.text.startsWith(before)).toBe(true);
    expect(found?.text.endsWith('then felt')).toBe(true);
    expect(found?.text).not.toContain('/');
  }); // prettier-ignore
  test('every needle that is offered becomes the step’s', () => {
    for (const wanted of needles) {
      const made = changed(`/needle:${wantedKey(wanted)} `);
      expect(needleOf(made, pattern)).toEqual(wanted);
    }
  });
});

describe('what was taken', () => {
  test('a part is written out and belongs to the step, once', () => {
    expect(read('Felt /part:body firmly')?.text).toBe('Felt the body firmly');
    expect(changed('/part:n-1_x ').partIds).toEqual(['n-1_x']);
    expect(changed('/part:body ', step('now', { partIds: ['body'] })).partIds).toEqual(['body']);
  });
  test('a finding brings the part it sits on', () => {
    expect(read('Sew on the /finding:eyes ')?.text).toBe('Sew on the black eye ');
    expect(changed('/finding:eyes ').partIds).toEqual(['body']);
    expect(changed('/finding:loose ').partIds).toEqual([]);
  });
  test('a check and a wait leave no word in the text', () => {
    expect(read('Is it firm? /check:new')?.text).toBe('Is it firm? ');
    expect(changed('/check:new').checks.map(({ id }) => id)).toEqual(['new-id']);
    expect(changed('/wait:new')).toMatchObject({ act: { kind: 'wait' }, needle: { by: 'none' } });
  });
  test('a technique is told by its id', () => {
    expect(read('/technique:Ab3_-x')).toEqual({ kind: 'technique', text: '', techniqueId: 'Ab3_-x' });
  });
  test.each([
    ['nothing was taken', 'Roll it / felt it'],
    ['still being typed', 'Roll /par'],
    ['a part of another word', 'Roll /part:'],
    ['a fraction', 'a 1/2 of it'],
  ])('%s: nothing is read', (_name, text) => {
    expect(read(text)).toBeNull();
  });
  test('whatever else is written stays as it is', () => {
    const words = fc.stringMatching(/^[a-zA-Z ,.½°*]{0,30}$/);
    fc.assert(
      fc.property(words, words, (before, after) => {
        expect(read(`${before}/part:body ${after}`)?.text).toBe(`${before}the body ${after}`);
      }),
    );
  });
});
