import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Amount,
  copyOf,
  derivedFrom,
  fieldChanges,
  OWN_RIGHTS,
  type Pattern,
  patternChanges,
  permissionState,
} from '../../src/pattern/index.ts';
import { changeTitle, fieldWords } from '../../src/words/index.ts';
import {
  blankTechniqueStep,
  checkTechnique,
  insertTechnique,
  isSaid,
  keysIn,
  newUse,
  placeOfAmount,
  readSteps,
  recognise,
  type Recognised,
  takeAmount,
  takeNewest,
  type Technique,
  techniqueChanges,
  withRecognised,
} from '../../src/writing/index.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { legged, step } from '../support/writing.ts';

const NAMES = {
  parts: [
    { id: 'eye', name: 'Eye' },
    { id: 'bump', name: 'Eye bump' },
    { id: 'leaf', name: 'Leaf' },
    { id: 'wing', name: 'Wing' },
  ],
  fibres: [
    { id: 'chalk', name: 'Chalk' },
    { id: 'slate', name: 'Slate' },
  ],
  findings: [
    { id: 'bead', name: 'Bead eye 4 mm', partId: 'bump' },
    { id: 'bell', name: 'Bell', partId: null },
  ],
};
const found = <K extends Recognised['is']>(text: string, is: K) =>
  recognise(text, NAMES).filter(
    (recognised): recognised is Extract<Recognised, { is: K }> => recognised.is === is,
  );

describe('what is read in a step’s words', () => {
  test.each([
    ['Set both eye bumps on.', ['bump']],
    ['An eye on each eye bump.', ['eye', 'bump']],
    ['Two leaves, then the wings.', ['leaf', 'wing']],
    ['Leave the winged thing.', []],
  ])('%j names %j', (text, ids) => expect(found(text, 'part').map(({ partId }) => partId)).toEqual(ids));
  test.each([
    ['with a 38 needle', 38],
    ['gauge 40 now', 40],
    ['No. 36, deep', 36],
    ['the 42 star', 42],
    ['38 mm long', null],
    ['needle 50', null],
  ])('%j says the needle %j', (text, gauge) => expect(found(text, 'gauge')[0]?.gauge ?? null).toBe(gauge));
  test.each([
    ['about 20 min', 20, null],
    ['15-20 minutes of felting', { low: 15, high: 20 }, null],
    ['1.5 hours', 90, null],
    ['Glue it and leave to dry for 2 hours', null, 120],
    ['Felt 10 min. Then let it set, 30 min.', 10, 30],
  ])('%j takes %j and waits %j', (text, minutes, waiting) => {
    expect(found(text, 'minutes')[0]?.minutes ?? null).toEqual(minutes);
    expect(found(text, 'waiting')[0]?.minutes ?? null).toEqual(waiting);
  });
  test.each([
    ['Glue the pin on', 'glue'],
    ['Sew the eye, then felt over it', 'sew'],
    ['Snip it', 'cut'],
    ['Set the head on and tack it', 'tack'],
    ['Attach the wing', 'join'],
    ['Lay slate over it', 'wrap'],
    ['Compare both wings', 'check'],
    ['Leave it overnight', 'wait'],
    ['Roll it tight', 'make'],
    ['Felt all round', 'felt'],
  ])('%j is to %s', (text, act) => expect(found(text, 'act')[0]?.act).toBe(act));
  test.each<[string, Partial<Amount>, string | null, string]>([
    [
      '25 cm of chalk split in 2',
      { form: 'tops', length: mm(250), highLength: null, ways: 2 },
      'chalk',
      '25 cm of chalk split in 2',
    ],
    [
      '10 cm of slate split lengthwise in four, rolled',
      { form: 'tops', ways: 4 },
      'slate',
      '10 cm of slate split lengthwise in four',
    ],
    ['Lay 5 g of slate over', { form: 'grams', massG: 5 }, 'slate', '5 g'],
    ['4,5-6 g', { form: 'grams', massG: 4.5, highG: 6 }, null, '4,5-6 g'],
    ['a pinch of chalk', { form: 'hand', measure: 'pinch', count: 1 }, 'chalk', 'a pinch'],
    ['two wisps. Chalk later.', { form: 'hand', measure: 'wisp', count: 2 }, null, 'two wisps'],
  ])('%j is an amount', (text, amount, fibreId, words) => {
    expect(found(text, 'amount')[0]).toMatchObject({ amount, fibreId, text: words });
  });
  test.each([
    ['straight down and shallow', 'straight-down', 'light'],
    ['aiming at the centre, half in', 'toward-centre', 'half'],
    ['edges first, right through', 'edges-first', 'through'],
    ['at a slant', 'at-a-slant', undefined],
  ])('%j: stroke and depth', (text, stroke, depth) => {
    expect(found(text, 'stroke')[0]?.stroke).toBe(stroke);
    expect(found(text, 'depth')[0]?.depth).toBe(depth);
  });
  test('a finding is about the part it is put on; one that is on none is about nothing', () => {
    const [bead, ...rest] = found('Sew the Bead eye 4 mm and the bell on', 'finding');
    expect([bead, rest]).toMatchObject([{ findingUseId: 'bead', partId: 'bump' }, []]);
    const ownStep = step('s', 'sew');
    expect(bead && withRecognised(ownStep, bead).partIds).toEqual(['bump']);
    expect(bead && isSaid({ ...ownStep, partIds: ['bump'] }, bead, legged([]))).toBe(true);
  });
  test('never throws, and only ever quotes what is there', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
        for (const recognised of recognise(text, NAMES)) expect(text).toContain(recognised.text);
      }),
    );
  });
});

describe('taking over what was read', () => {
  const ownLegged = legged([
    step('s', 'make', [], {
      needle: { by: 'stage' },
      minutes: null,
      text: 'Glue the leg with a 38 needle, 4 min, straight down, shallow',
    }),
  ]);
  const names = { parts: ownLegged.parts, fibres: [], findings: [] };
  const [bare] = ownLegged.steps;
  if (!bare) throw new Error('a step is there');
  test('sets each thing once, and then it is said', () => {
    const read = recognise(bare.text, names);
    const taken = read.reduce(withRecognised, bare);
    expect(taken).toMatchObject({
      partIds: ['leg'],
      needle: { gauge: 38 },
      minutes: 4,
      act: { kind: 'glue' },
      stroke: 'straight-down',
      depth: 'light',
    });
    expect(read.filter((recognised) => !isSaid(taken, recognised, ownLegged))).toEqual([]);
    expect(read.reduce(withRecognised, taken)).toEqual(taken);
  });
  const amount = {
    is: 'amount',
    text: '5 g',
    amount: { form: 'grams', massG: 5, highG: null, isWeighed: false },
  } as const;
  test.each([
    ['on the use of that fibre', 'coat', ['body'], { partId: 'body', useId: 'body-coat' }],
    ['on a new use where there is none', 'other', ['body'], { partId: 'body', useId: null }],
    ['on the core where no fibre is named', null, ['leg'], { partId: 'leg', useId: 'leg-core' }],
    ['nowhere without a part', null, [], null],
  ])('an amount goes %s', (_name, fibreId, partIds, place) => {
    const at = { ...bare, partIds };
    expect(placeOfAmount(at, { ...amount, fibreId }, ownLegged)).toEqual(place);
    const after = takeAmount(ownLegged, at, { ...amount, fibreId }, 'new');
    const uses = after.parts
      .flatMap((part) => part.uses)
      .filter((use) => use.role !== 'insert' && use.words === '5 g');
    expect(uses).toHaveLength(place === null ? 0 : 1);
  });
});

describe('a text becomes steps', () => {
  test.each([
    ['numbers', '1. Roll.\n2) Felt.\nStep 3: Coat.', ['Roll.', 'Felt.', 'Coat.']],
    ['bullets', '- Roll.\n• Felt.\n* Coat.', ['Roll.', 'Felt.', 'Coat.']],
    ['a line that goes on', '1. Roll\n   tight.\n\n   Tighter.\n2. Felt.', ['Roll tight. Tighter.', 'Felt.']],
    ['paragraphs', 'Roll it tight.\nThen more.\n\nFelt it.', ['Roll it tight. Then more.', 'Felt it.']],
    ['nothing', ' \n\n ', []],
    ['windows’ line ends', '1. Roll.\r\n2. Felt.\r\n', ['Roll.', 'Felt.']],
  ])('by %s', (_name, text, texts) => expect(readSteps(text).steps.map((step) => step.text)).toEqual(texts));
  test('headings sort what is under them, and materials are put aside', () => {
    const read = readSteps(
      'Materials:\n- 20 g chalk\n- eyes\n\nCore\n1. Roll.\n\n## Face\n2. Eyes.\n3. Beak.',
    );
    expect(read.materials).toEqual(['20 g chalk', 'eyes']);
    expect(read.steps.map(({ text, stage }) => [text, stage])).toEqual([
      ['Roll.', 'core'],
      ['Eyes.', 'detail'],
      ['Beak.', 'detail'],
    ]);
  });
  test('100 000 signs are read, and what does not fit is said', () => {
    const read = readSteps(
      Array.from({ length: 4000 }, (_, at) => `${at + 1}. Roll it a little.`)
        .join('\n')
        .slice(0, 100_000),
    );
    expect(read).toMatchObject({ isCut: true });
    expect(read.steps).toHaveLength(500);
    expect(readSteps(`1. ${'x'.repeat(9000)}`)).toMatchObject({ isCut: true });
  });
});

const limb = (texts: readonly string[], version = 1): Technique => ({
  id: 'limb',
  version,
  name: 'Limb',
  about: '',
  parameters: [{ key: 'length', name: '', standard: '60 mm' }],
  steps: texts.map((text) => ({ ...blankTechniqueStep(), text })),
  rights: { ...OWN_RIGHTS, credit: 'After the harbour class' },
});

describe('techniques', () => {
  const first = limb(['Lay {length}', 'Felt']);
  const use = { ...newUse(first, 'u', ['leg']), values: [{ key: 'length', value: '80 mm' }] };
  const written = insertTechnique(legged([step('a', 'make'), step('z', 'make')]), first, use, 'a');
  test('are written in where they are used, filled in, on their parts', () => {
    expect(written.steps.map(({ id, text }) => [id, text])).toEqual([
      ['a', 'a'],
      ['u-1', 'Lay 80 mm'],
      ['u-2', 'Felt'],
      ['z', 'z'],
    ]);
    expect(written.steps[1]).toMatchObject({ partIds: ['leg'], technique: { useId: 'u', index: 0 } });
    expect(written.techniques[0]).toMatchObject({
      version: 1,
      rights: { credit: 'After the harbour class' },
    });
  });
  test('a newer version is told step by step, own edits marked', () => {
    const edited = {
      ...written,
      steps: written.steps.map((step) => (step.id === 'u-2' ? { ...step, text: 'Felt more' } : step)),
    };
    expect(techniqueChanges(edited, use, limb(['Lay {length}', 'Felt firm', 'Trim'], 2), first)).toEqual([
      { kind: 'changed', index: 1, before: 'Felt more', after: 'Felt firm', isOwnEdit: true },
      { kind: 'added', index: 2, before: null, after: 'Trim', isOwnEdit: false },
    ]);
    expect(techniqueChanges(written, use, limb(['Lay {length}'], 2), first)).toMatchObject([
      { kind: 'removed', index: 1 },
    ]);
  });
  test('taken, it changes its steps and nothing else, wherever they have been moved', () => {
    const moved = { ...written, steps: [...written.steps].reverse() };
    const taken = takeNewest(moved, 'u', limb(['Lay {length} down', 'Felt', 'Trim'], 2));
    expect(taken.steps.map(({ text }) => text)).toEqual(['z', 'Felt', 'Lay 80 mm down', 'Trim', 'a']);
    expect(taken.techniques[0]?.version).toBe(2);
    expect(takeNewest(taken, 'nobody', first)).toBe(taken);
  });
  test('may not ask for what is not filled in, nor choose among parts it has not', () => {
    expect(keysIn('{length} and {width} and {length}')).toEqual(['length', 'width']);
    expect(checkTechnique(limb(['{width}']))).toEqual([
      { code: 'parameter_not_found', pointer: '/steps/0/text', key: 'width' },
    ]);
    const choosing = {
      ...first,
      steps: [{ ...blankTechniqueStep(), act: { kind: 'choose' as const, findingUseIds: [] } }],
    };
    expect(checkTechnique(choosing)).toEqual([{ code: 'technique_act', pointer: '/steps/0/act' }]);
  });
});

describe('what changed between two versions', () => {
  const before = legged([step('a', 'make'), step('b', 'make'), step('c', 'make')]);
  const after: Pattern = {
    ...before,
    title: 'Another',
    parts: [part('body', shapes.ball(62), { coat: 'coat' }), ...before.parts.slice(1)],
    steps: [step('c', 'make'), step('a', 'make', [], { text: 'Otherwise' }), step('d', 'make')],
  };
  const changes = patternChanges(before, after);
  test('is told thing by thing, value by value', () => {
    expect(changes.map((change) => changeTitle(change))).toEqual([
      'About',
      'Part body',
      'Step 2',
      'Step 3 is new',
      'Step 1 is at another place',
      'Step 2 is gone',
    ]);
    expect(changes[1]?.fields).toEqual([{ path: ['shape', 'diameter'], before: mm(60), after: mm(62) }]);
    expect(fieldWords(changes[1]?.fields[0] ?? { path: [], before: null, after: null }, () => null)).toBe(
      'shape, diameter: 60 mm → 62 mm',
    );
  });
  // By JSON: what Jest's structuredClone makes is of another realm, with a list that is no list of this one.
  test('is nothing between a pattern and itself', () =>
    expect(patternChanges(before, JSON.parse(JSON.stringify(before)) as Pattern)).toEqual([]));
  test('moves as few as can be', () => {
    const ids = fc.shuffledSubarray(['1', '2', '3', '4', '5', '6'], { minLength: 6 });
    fc.assert(
      fc.property(ids, (order) => {
        const [first, two] = [['1', '2', '3', '4', '5', '6'], order].map((list) =>
          legged(list.map((id) => step(id, 'make'))),
        );
        if (!first || !two) return;
        const moved = patternChanges(first, two).filter(({ change }) => change === 'moved').length;
        // Judge: the longest rising run over all subsets.
        let longest = 0;
        for (let set = 0; set < 64; set++) {
          const kept = order.filter((_, at) => (set >> at) & 1);
          if (kept.every((id, at) => at === 0 || Number(kept[at - 1]) < Number(id)))
            longest = Math.max(longest, kept.length);
        }
        expect(moved).toBe(6 - longest);
      }),
    );
  });
  test('every value that differs is found', () => {
    expect(
      fieldChanges(
        {
          a: [
            { id: 'x', n: 1 },
            { id: 'y', n: 2 },
          ],
        },
        {
          a: [
            { id: 'y', n: 2 },
            { id: 'x', n: 3 },
          ],
        },
        [],
      ),
    ).toEqual([{ path: ['a', 'x', 'n'], before: 1, after: 3 }]);
    expect(fieldChanges({ a: null }, { a: { b: 1 } }, [])).toEqual([
      { path: ['a'], before: null, after: { b: 1 } },
    ]);
  });
});

describe('rights', () => {
  const theirs = {
    origin: 'learned',
    from: 'the harbour class',
    credit: 'After the harbour class',
    permissions: [{ what: 'teach', state: 'granted', date: '2026-03-14', conditions: 'named' }],
  } as const;
  test('on one’s own work everything is granted; elsewhere what nobody asked is not asked', () => {
    expect(permissionState(OWN_RIGHTS, 'sell-kits')).toBe('granted');
    const rights = { ...theirs, permissions: [...theirs.permissions] };
    expect([permissionState(rights, 'teach'), permissionState(rights, 'sell-kits')]).toEqual([
      'granted',
      'not-asked',
    ]);
  });
  test('copies keep origin and credit; what derives from another’s says so', () => {
    const ownPattern = pattern([], {
      title: 'Seal',
      rights: { ...theirs, permissions: [...theirs.permissions] },
    });
    expect(copyOf(ownPattern).rights).toBe(ownPattern.rights);
    expect(derivedFrom(ownPattern).rights).toMatchObject({
      origin: 'derived',
      from: 'Seal, the harbour class',
      credit: theirs.credit,
    });
    expect(derivedFrom(pattern([], { title: 'Mine' })).rights).toEqual(OWN_RIGHTS);
  });
});

test('of two long texts it is shown where they part', () => {
  const text = 'Felt it until it is firm all over. Make it a little under size; the coat adds the rest.';
  const told = (before: string, after: string) => fieldWords({ path: ['text'], before, after }, () => null);
  expect(told(text, `${text} Turn it often.`)).toBe(
    'text: “…coat adds the rest.” → “…coat adds the rest. Turn it often.”',
  );
  expect(told('Roll it', 'Roll it tight')).toBe('text: “Roll it” → “Roll it tight”');
  expect(told(text, '')).toMatch(/^text: “Felt it until.*” → not said$/);
});
