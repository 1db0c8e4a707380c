import { describe, expect, test } from '@jest/globals';
import type { WoolRole } from '../../src/engine/index.ts';
import { BLANK_STEP, blankJoin, type Pattern, type Step } from '../../src/pattern/index.ts';
import { stageSamples } from '../../src/run/index.ts';
import { reshape, type ShapeKind } from '../../src/shapes/index.ts';
import { stageOfWool, stepOfWool } from '../../src/writing/index.ts';
import { part, pattern, shapes } from '../support/make.ts';

const step = (id: string, more: Partial<Step> = {}): Step => ({ ...BLANK_STEP, id, text: id, ...more });
const onPart = (id: string, role: WoolRole) => ({ owner: { kind: 'part', id } as const, role });

describe('the stage wool belongs to', () => {
  test.each<[name: string, kind: ShapeKind, role: WoolRole, stage: string]>([
    ['a ball’s core', 'ball', 'core', 'core'],
    ['its coat', 'ball', 'coat', 'coat'],
    ['a patch of colour on it', 'ball', 'patch', 'coat'],
    ['its nostrils', 'ball', 'dot', 'detail'],
    ['its hair', 'ball', 'hair', 'hair'],
    ['a fringe’s own wool', 'fringe', 'core', 'hair'],
    ['a line along a fringe', 'fringe', 'line', 'hair'],
    ['a patch laid on', 'patch', 'core', 'detail'],
    ['what shades that patch', 'patch', 'coat', 'detail'],
    ['dots that are only counted', 'by-count', 'added', 'detail'],
    ['hair on a patch', 'patch', 'hair', 'hair'],
    ['its loose end', 'limb', 'loose-end', 'core'],
  ])('%s', (_name, kind, role, stage) => {
    const given = { ...part('p', shapes.ball(30)), shape: reshape(shapes.ball(30), kind) };
    expect(stageOfWool({ parts: [given] }, onPart('p', role))).toBe(stage);
  });
});

describe('the step that takes wool up', () => {
  const steps = [
    step('roll', { partIds: ['a'], stage: 'core' }),
    step('set', { partIds: ['a', 'b'], stage: 'join', act: { kind: 'join' } }),
    step('coat', { partIds: ['a'], stage: 'coat' }),
  ];
  const two: Pattern = pattern([part('a', shapes.ball(40)), part('b', shapes.ball(20))], {
    joins: [blankJoin('j', 'b', 'a')],
    steps,
  });
  const cover = { owner: { kind: 'join', id: 'j' } as const, role: 'join-cover' as const };
  test.each([
    ['of its own stage', two, onPart('a', 'coat'), 2],
    ['any on the part, where none is of its stage', two, onPart('b', 'coat'), 1],
    ['a cover: where its two parts are joined, named or not', two, cover, 1],
    ['a part that no step names', two, onPart('c', 'core'), null],
    ['a join, where the step only felts on', { ...two, steps: [step('felt', { partIds: ['a', 'b'], act: { kind: 'felt' } })] }, cover, null],
    ['a join that a step names', { ...two, steps: [step('x', { joinIds: ['j'], act: { kind: 'wrap' } })] }, cover, 0],
  ])('%s', (_name, given, place, at) => {
    expect(stepOfWool(given, place)).toBe(at);
  });
}); // prettier-ignore

describe('a half-made sample is wanted', () => {
  const parts = [part('a', shapes.ball(40)), part('b', shapes.ball(20)), part('c', shapes.ball(10))];
  const made = (steps: Step[], more: Partial<Pattern> = {}) => pattern(parts, { steps, ...more });
  const wait = step('dry', { partIds: ['a'], act: { kind: 'glue' }, waiting: 30 });
  const on = (id: string, ...partIds: string[]) => step(id, { partIds });
  const sitting = (id: string, firstStepId: string) => ({ id, name: id, firstStepId, startState: '', safeStop: '', homework: '' });
  test.each([
    ['nothing waits', made([on('x', 'a'), on('y', 'a')]), []],
    ['all that is left needs what waits', made([wait, on('x', 'a')]), ['dry']],
    ['something else can be made meanwhile', made([wait, on('x', 'b'), on('y', 'a')]), []],
    ['even later in the author’s order', made([wait, on('x', 'a'), on('y', 'b')]), []],
    ['what comes next only goes with what needs it', made([wait, on('x', 'a', 'b'), on('y', 'b', 'c')]), ['dry']],
    ['the wait is the last thing', made([on('x', 'a'), wait]), []],
    ['people go home while it dries', made([wait, on('x', 'a')], { sessions: [sitting('one', 'dry'), sitting('two', 'x')] }), []],
    ['a wait in the second sitting', made([on('x', 'a'), wait, on('y', 'a')], { sessions: [sitting('one', 'x'), sitting('two', 'dry')] }), ['dry']],
    ['a step that names no part is about the whole', made([wait, step('look')]), ['dry']],
    ['the author says that it must come after', made([wait, on('x', 'b')], { links: [{ id: 'l', beforeId: 'dry', afterId: 'x', strength: 'must', reason: '' }] }), ['dry']],
    ['easier after is not must', made([wait, on('x', 'b')], { links: [{ id: 'l', beforeId: 'dry', afterId: 'x', strength: 'easier', reason: '' }] }), []],
  ])('%s', (_name, given, stepIds) => {
    expect(stageSamples(given).map(({ stepId }) => stepId)).toEqual(stepIds);
  });
}); // prettier-ignore
