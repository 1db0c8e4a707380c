import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, type Wool } from '../../src/engine/index.ts';
import {
  changesIn,
  factsOfSteps,
  fewestChanges,
  inOrder,
  inOrderOf,
  type Ladder,
  ladderOf,
  needleCard,
  needlePath,
  type OrderingTask,
  orderingTask,
  ownedFor,
  rankedFor,
  suspectsOf,
} from '../../src/needles/index.ts';
import {
  blankPattern,
  checkPattern,
  needleOf,
  type Pattern,
  SCHOOL_DEFAULTS,
  SCHOOLS,
  withRung,
} from '../../src/pattern/index.ts';
import { byGauge, feelOf, isOfSort, type Needle, wantedKey, wantedOfKey } from '../../src/shelf/index.ts';
import { cueWords, mendWords, verdictWords } from '../../src/words/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';
import { facts, needle } from '../support/needles.ts';
import { joined, legged, step } from '../support/writing.ts';

const wool = shelf(fibre('core'), fibre('coat', { fineness: 'fine' }));

const ladder = (build: Pattern, needles: readonly Needle[] = [], ownWool: Wool = wool): Ladder =>
  ladderOf(build, estimatePattern(build, ownWool), ownWool, needles);

const byStage = { needle: { by: 'stage' } } as const;

describe('what a school proposes', () => {
  const steps = [
    step('core', 'felt', [], { ...byStage, stage: 'core' }),
    step('coat', 'wrap', [], { ...byStage, stage: 'coat' }),
    step('deep coat', 'wrap', [], { ...byStage, stage: 'coat', depth: 'through' }),
    step('join', 'join', [], { ...byStage, stage: 'join' }),
    step('eye', 'make', [], { ...byStage, stage: 'detail' }),
    step('finish', 'felt', [], { ...byStage, stage: 'finish' }),
  ];
  test.each([
    ['one', ['38', '38', '38', '38', '38', '38']],
    ['two', ['36', '38-star', '36', '36', '38-star', '38-star']],
    ['ladder', ['38', '40', '38', '38', '42', '40']],
    ['by-feel', ['large', 'medium', 'large', 'large', 'small', 'medium']],
    ['own', ['32', null, null, null, null, null]],
  ] as const)('%s', (kind, keys) => {
    const habit = {
      school: SCHOOL_DEFAULTS[kind],
      stageNeedles: [{ stage: 'core', needle: byGauge(32) } as const],
    };
    const proposed = steps.map((step) => {
      const wanted = needleOf(step, habit);
      return wanted && wantedKey(wanted);
    });
    expect(proposed).toEqual(keys);
  });
  test('what the author says of a step stays, whatever the school', () => {
    const ownStep = step('s', 'felt', [], { needle: byGauge(36, 'crown') });
    for (const kind of SCHOOLS) {
      expect(needleOf(ownStep, { school: SCHOOL_DEFAULTS[kind], stageNeedles: [] })).toEqual(
        byGauge(36, 'crown'),
      );
    }
  });
  test('a school’s rung takes another needle; one it has not changes nothing', () => {
    const two = withRung(SCHOOL_DEFAULTS.two, 'surface', byGauge(40));
    expect(
      needleOf(step('c', 'wrap', [], { ...byStage, stage: 'coat' }), { school: two, stageNeedles: [] }),
    ).toEqual(byGauge(40));
    expect(withRung(SCHOOL_DEFAULTS.two, 'needle', byGauge(40))).toBe(SCHOOL_DEFAULTS.two);
  });
  test('a gauge there is not is refused where it stands', () => {
    const school = withRung(SCHOOL_DEFAULTS.one, 'needle', byGauge(50));
    const stageNeedles = [{ stage: 'core' as const, needle: byGauge(31) }];
    expect(
      checkPattern({ ...blankPattern('x'), school, stageNeedles }).map(({ pointer }) => pointer),
    ).toEqual(['/stageNeedles/0/needle/gauge', '/school/needle/gauge']);
  });
  test('a sort is found again by its key', () => {
    for (const wanted of [byGauge(38), byGauge(40, 'spiral'), { by: 'feel', feel: 'small' } as const]) {
      expect(wantedOfKey(wantedKey(wanted))).toEqual(wanted);
    }
    expect(wantedOfKey('blunt')).toBeNull();
  });
});

describe('needles of the shelf', () => {
  test.each([
    ['its gauge, any profile', needle('a', { gauge: 38 }), byGauge(38), true],
    ['another profile', needle('a', { gauge: 38 }), byGauge(38, 'star'), false],
    ['a size word', needle('a', { gauge: null, sizeWord: 'Large, from the old tin' }), { by: 'feel', feel: 'large' }, true],
    ['a gauge is no size word', needle('a', { gauge: 36 }), { by: 'feel', feel: 'large' }, false],
  ] as const)('%s', (_name, needle, wanted, isSo) => {
    expect(isOfSort(needle, wanted)).toBe(isSo);
  });
  test('a word that only contains a size is none', () => {
    expect(feelOf({ sizeWord: 'smallish' })).toBeNull();
  });
  const surface = facts({ stage: 'coat', task: 'surface', isVisible: true, firmnessBefore: 'firm', depth: 'light' });
  test('of several of one sort, the one that does best in all its steps', () => {
    const owned = ownedFor(byGauge(38), [surface], [needle('plain', { gauge: 38, onHand: 90 }), needle('back', { gauge: 38, profile: 'reverse' })]);
    expect(owned.kind === 'owned' && owned.needle.id).toBe('plain');
  });
  test('missing: the nearest that suits, and what is lost with it', () => {
    const owned = ownedFor(byGauge(38), [surface], [needle('coarse', { gauge: 36 }), needle('old', { gauge: 38, onHand: 0 })]);
    expect(owned).toMatchObject({ kind: 'nearest', needle: { id: 'coarse' }, lost: ['leaves-marks'] });
  });
  test('with none on the shelf nothing is proposed', () => {
    expect(ownedFor(byGauge(38), [surface], [needle('put away', { gauge: 38, archived: true })])).toEqual({ kind: 'none' });
  });
  test('are ranked for a step, each with why', () => {
    const ranked = rankedFor(surface, [needle('a', { gauge: 36 }), needle('b', { gauge: 40 }), needle('c', { gauge: null, sizeWord: 'odd' })]);
    expect(ranked.map((given) => [given.needle.id, given.verdict.strength])).toEqual([['b', 'good'], ['c', 'fair'], ['a', 'poor']]);
  });
}); // prettier-ignore

describe('what a step asks of a needle', () => {
  const build = legged([
    step('core', 'felt', ['body'], { stage: 'core', depth: 'half' }),
    step('leg', 'make', ['leg'], { stage: 'shape', depth: 'through' }),
    step('on', 'join', ['leg', 'body'], { stage: 'join', joinIds: ['leg-body'], depth: 'through' }),
    step('coat', 'wrap', ['body'], { stage: 'coat', depth: 'light' }),
  ]);
  const facts = factsOfSteps(build, estimatePattern(build, wool), wool);
  test.each([
    ['core', { firmnessBefore: null, acrossMm: 60, reachNeededMm: 15, isVisible: false }],
    ['leg', { acrossMm: 12, reachNeededMm: 12, isVisible: true }],
    ['on', { firmnessBefore: 'firm', acrossMm: 12, reachNeededMm: 12, isVisible: false }],
    ['coat', { firmnessBefore: 'firm', reachNeededMm: 3, isVisible: true, task: 'surface' }],
  ] as const)('%s', (id, expected) => {
    expect(facts.get(id)).toMatchObject(expected);
  });
  test('the finest and coarsest wool it works in', () => {
    expect([...(facts.get('coat')?.fineness ?? [])]).toEqual(['fine']);
  });
  test.each([
    ['a sheet by its word', step('s', 'felt', ['body'], { text: 'Felt it on the backing sheet.' }), { sheet: true }],
    ['nothing', step('s', 'felt', ['body']), { sheet: false, wire: false, glass: false }],
  ] as const)('behind: %s', (_name, given, behind) => {
    const lone = legged([given]);
    expect(factsOfSteps(lone, estimatePattern(lone, wool), wool).get('s')?.behind).toMatchObject(behind);
  });
  test('a dot is as small as it is', () => {
    const dotted = pattern(
      [part('head', shapes.ball(40), { uses: [use('core', 'c', 'core'), use('dot', 'd', 'coat', { diameter: mm(3) })] })],
      { steps: [step('eye', 'make', ['head'], { stage: 'detail' })] },
    );
    expect(factsOfSteps(dotted, estimatePattern(dotted, wool), wool).get('eye')?.detailMm).toBe(3);
  });
  test('a size nobody has said asks for nothing', () => {
    const unknown = pattern([part('p', { kind: 'ball', diameter: null })], { steps: [step('s', 'felt', ['p'], { depth: 'half' })] });
    expect(factsOfSteps(unknown, estimatePattern(unknown, wool), wool).get('s')).toMatchObject({ acrossMm: null, reachNeededMm: null });
  });
}); // prettier-ignore

describe('the path of needles', () => {
  const build = legged([
    step('core', 'felt', ['body'], { needle: byGauge(36), cue: 'it springs back' }),
    step('smooth', 'wrap', ['body'], { needle: byGauge(40), stage: 'coat' }),
    step('look', 'check', ['body'], { needle: { by: 'none' } }),
    step('leg', 'make', ['leg'], { needle: byGauge(36), minutes: null }),
    step('on', 'join', ['leg', 'body'], { needle: byGauge(36), stage: 'join' }),
  ]);
  const { changes, stretches } = needlePath(build);
  test('a change for each other needle, whatever lies between', () => {
    expect(changes.map(({ afterStepId, beforeStepId, goes }) => [afterStepId, beforeStepId, goes])).toEqual([
      ['core', 'smooth', 'finer'],
      ['smooth', 'leg', 'coarser'],
    ]);
    expect(stretches.map(({ minutes }) => minutes)).toEqual([5, 5, 5, null, 5]);
  });
  test('its cue is the author’s, ours where there is none, and the next piece’s when another is begun', () => {
    expect(changes.map(cueWords)).toEqual(['when it springs back', 'with the next piece']);
    expect(cueWords({ words: '', cue: 'resists' })).toMatch(/push back/);
  });
  const roughens = (after: Pattern['steps']) =>
    ladder({ ...build, steps: [...build.steps.slice(0, 2), step('again', 'felt', ['body'], { needle: byGauge(36) }), ...after] })
      .flags.flatMap((flag) => (flag.code === 'roughens' ? [[flag.stepId, wantedKey(flag.better)]] : []));
  test('coarse again on what was smoothed is flagged, with the needle it was smoothed with', () => {
    expect(roughens([])).toEqual([['again', '40']]);
  });
  test('and is not where it is smoothed once more', () => {
    expect(roughens([step('last', 'felt', ['body'], { needle: byGauge(40), stage: 'finish' })])).toEqual([]);
  });
  test('an unfit needle is flagged with the reason, the mend and a better one', () => {
    const marking = { ...build, steps: [...build.steps.slice(0, 2), step('finish', 'felt', ['body'], { needle: byGauge(36), stage: 'finish' })] };
    const flag = ladder(marking).flags.find((ladderFlag) => ladderFlag.code === 'unfit');
    expect(flag).toMatchObject({ stepId: 'finish', better: byGauge(40) });
    if (flag?.code !== 'unfit') throw new Error('no flag');
    expect(verdictWords('36', flag.verdict)).toBe('36 is poor here: leaves marks on a visible, firm surface; leaves holes in fine wool');
    expect(mendWords(flag.verdict)).toMatch(/finer/);
  });
  test('a gap in the maker’s own table is a needle not said', () => {
    const gap = legged([step('coat', 'wrap', ['body'], { ...byStage, stage: 'coat' })]);
    expect(ladder(gap).flags).toEqual([{ code: 'not_said', stepId: 'coat' }]);
  });
  test('the card tells each stage’s needle with all its strokes', () => {
    const card = needleCard(ladder(build));
    expect(card.map(({ stage, wanted }) => [stage, wantedKey(wanted)])).toEqual([['core', '36'], ['coat', '40'], ['join', '36']]);
    expect(card[0]?.steps.map(({ id }) => id)).toEqual(['core', 'leg']);
  });
  test('an empty pattern has an empty ladder', () => {
    expect(ladder(blankPattern('x'))).toMatchObject({ rungs: [], flags: [], path: { changes: [] } });
  });
}); // prettier-ignore

describe('the fault finder', () => {
  const build = legged([
    step('core', 'felt', ['body'], { needle: byGauge(36) }),
    step('finish', 'felt', ['body'], { needle: byGauge(36), stage: 'finish' }),
    step('smooth', 'wrap', ['body'], {
      needle: byGauge(40),
      stage: 'coat',
      depth: 'light',
      stroke: 'at-a-slant',
    }),
  ]);
  test('names the steps of this pattern, the likeliest cause first, with the needle that does better', () => {
    const [first] = suspectsOf('poke-marks', ladder(build));
    expect(first).toEqual({ stepId: 'finish', fault: 'coarse-on-surface', better: byGauge(40) });
  });
  test('finds nothing where no step gives cause', () => {
    expect(suspectsOf('shows-behind', ladder(build))).toEqual([]);
  });
});

/** Every order there is that keeps the pairs; the fewest changes among them. */
function fewestByTrying({ needles, before }: OrderingTask): number {
  const all = needles.map((_, at) => at);
  let fewest = Infinity;
  const go = (done: number[], left: number[]) => {
    if (left.length === 0) fewest = Math.min(fewest, changesIn(done.map((at) => needles[at] ?? null)));
    for (const at of left) {
      if (before.some(([earlier, later]) => later === at && left.includes(earlier))) continue;
      go(
        [...done, at],
        left.filter((value) => value !== at),
      );
    }
  };
  go([], all);
  return fewest;
}

const orderings = fc
  .array(fc.constantFrom('36', '38', '40', null), { minLength: 1, maxLength: 7 })
  .chain((needles) =>
    fc.record({
      needles: fc.constant(needles),
      before: fc
        .array(fc.tuple(fc.nat(needles.length - 1), fc.nat(needles.length - 1)), { maxLength: 9 })
        .map((pairs) =>
          pairs.flatMap(([a, b]) => (a === b ? [] : [[Math.min(a, b), Math.max(a, b)] as const])),
        ),
    }),
  );

describe('fewer changes', () => {
  test('as few as trying every order finds, and each pair is kept', () => {
    fc.assert(
      fc.property(orderings, (task) => {
        const found = fewestChanges(task);
        if (!found) throw new Error('nothing stopped it');
        expect(found.changes).toBe(fewestByTrying(task));
        expect(found.atLeast).toBe(found.changes);
        expect([...found.order].sort((a, b) => a - b)).toEqual(task.needles.map((_, at) => at));
        expect(changesIn(found.order.map((at) => task.needles[at] ?? null))).toBe(found.changes);
        for (const [earlier, later] of task.before) {
          expect(found.order.indexOf(earlier)).toBeLessThan(found.order.indexOf(later));
        }
      }),
      { numRuns: 300 },
    );
  });
  test('with too many states it says how few are still thinkable, and is never under that', () => {
    fc.assert(
      fc.property(orderings, (task) => {
        const found = fewestChanges(task, () => true, 1);
        const fewest = fewestByTrying(task);
        expect(found?.atLeast).toBeLessThanOrEqual(fewest);
        expect(found?.changes).toBeGreaterThanOrEqual(fewest);
      }),
      { numRuns: 200 },
    );
  });
  test('can be stopped', () => {
    expect(fewestChanges({ needles: ['36', '38', '36'], before: [[0, 1], [1, 2]] }, () => false)).toBeNull();
  });
  const build = legged(
    [
      step('body', 'make', ['body'], { needle: byGauge(36) }),
      step('body-smooth', 'wrap', ['body'], { needle: byGauge(40), stage: 'coat' }),
      step('leg', 'make', ['leg'], { needle: byGauge(36), stage: 'shape' }),
      step('on', 'join', ['leg', 'body'], { needle: byGauge(40), joinIds: ['leg-body'], stage: 'join' }),
    ],
    { joins: [joined('leg', 'body')] },
  );
  test('in a pattern: the leg is made first, then everything fine', () => {
    const found = fewestChanges(orderingTask(build));
    expect(found?.order).toEqual([0, 2, 1, 3]);
    expect(needlePath(inOrder(build, found?.order ?? [])).changes).toHaveLength(1);
  });
  test('the order before comes back, and a step written since comes last', () => {
    const found = inOrder(build, fewestChanges(orderingTask(build))?.order ?? []);
    const later = { ...found, steps: [step('new', 'felt'), ...found.steps] };
    expect(inOrderOf(later, build.steps).steps.map(({ id }) => id)).toEqual([...build.steps.map(({ id }) => id), 'new']);
  });
  test('sessions stay one after another, and begin with the step they begin with', () => {
    const sessions = [{ id: 's', name: '', firstStepId: 'leg', startState: '', safeStop: '', homework: '' }];
    expect(fewestChanges(orderingTask({ ...build, sessions }))?.changes).toBe(3);
  });
  test('a step of no piece stays where it is', () => {
    const [first, second, ...rest] = build.steps;
    if (!first || !second) throw new Error('no steps');
    const talk = step('talk', 'felt', [], { needle: { by: 'none' } });
    expect(fewestChanges(orderingTask({ ...build, steps: [first, second, talk, ...rest] }))?.changes).toBe(3);
  });
}); // prettier-ignore
