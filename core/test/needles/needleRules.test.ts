import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  FAULT_RULES,
  judgeNeedle,
  NEEDLE_RULES,
  type NeedleFacts,
  type NeedleRuleId,
  type StepFacts,
} from '../../src/needles/index.ts';
import { facts, needleFacts } from '../support/needles.ts';
import { step } from '../support/writing.ts';

type Case = readonly [step: Partial<StepFacts>, gauge: number, needle?: Partial<NeedleFacts>];

const glass = { sheet: false, wire: false, glass: true };
const wire = { sheet: false, wire: true, glass: false };
const sheet = { sheet: true, wire: false, glass: false };
const coat: Partial<StepFacts> = { stage: 'coat', task: 'surface', isVisible: true, firmnessBefore: 'firm' };
const joining: Partial<StepFacts> = {
  stage: 'join',
  act: 'join',
  depth: 'through',
  acrossMm: 12,
  firmnessBefore: 'firm',
};
const detail: Partial<StepFacts> = { stage: 'detail', task: 'detail', detailMm: 4, isVisible: true };
const hair: Partial<StepFacts> = { stage: 'hair', isVisible: true };

/** For each rule a step and needle of which it holds, and the nearest of which it does not. */
const CASES: Readonly<Record<Exclude<NeedleRuleId, 'coarseness-unknown'>, readonly [holds: Case, not: Case]>> = {
  'strikes-glass': [[{ behind: glass, depth: 'half' }, 38], [{ behind: glass, depth: 'light' }, 38]],
  'pulls-wool-out': [[coat, 40, { profile: 'reverse' }], [hair, 40, { profile: 'reverse' }]],
  'leaves-marks': [[coat, 36], [coat, 37]],
  'dents-detail': [[detail, 37], [{ ...detail, detailMm: 8 }, 37]],
  'cannot-build': [[{ acrossMm: 40 }, 40], [{ acrossMm: 40, firmnessBefore: 'firm' }, 40]],
  'does-not-bind': [[joining, 40], [{ ...joining, depth: 'light' }, 40]],
  'snaps-in-solid': [[{ firmnessBefore: 'solid', depth: 'through' }, 40], [{ firmnessBefore: 'firm', depth: 'through' }, 40]],
  'snaps-on-wire': [[{ behind: wire, depth: 'half' }, 42], [{ behind: wire, depth: 'half' }, 38]],
  'too-short': [[{ reachNeededMm: 22 }, 38, { reachMm: 20 }], [{ reachNeededMm: 22 }, 38, { reachMm: 22 }]],
  'tears-sheet': [[{ behind: sheet }, 36], [{ behind: sheet }, 38]],
  'comes-out-behind': [[{ isThinFlat: true, depth: 'through' }, 36], [{ isThinFlat: true, depth: 'light' }, 36]],
  'only-skin-deep': [[{ depth: 'half' }, 38, { profile: 'crown' }], [{ depth: 'light' }, 38, { profile: 'crown' }]],
  'mats-locks': [[hair, 36], [hair, 36, { profile: 'crown' }]],
  'holes-in-fine-wool': [[{ isVisible: true, fineness: new Set(['fine']) }, 36], [{ isVisible: true, fineness: new Set(['coarse']) }, 36]],
  'misses-coarse-wool': [[{ depth: 'half', fineness: new Set(['coarse']) }, 42], [{ depth: 'half', fineness: new Set(['coarse']) }, 40]],
  'wider-than-piece': [[{ holder: 3, acrossMm: 19 }, 38], [{ holder: 3, acrossMm: 20 }, 38]],
  'faint-marks': [[{ ...coat, stage: 'finish' }, 38], [{ ...coat, stage: 'finish' }, 38, { profile: 'star' }]],
  'slow-alone': [[{ acrossMm: 60 }, 38], [{ acrossMm: 60, holder: 3 }, 38]],
  'slow-over-all': [[{ ...coat, acrossMm: 60 }, 42], [{ ...coat, acrossMm: 60 }, 40]],
  'beside-the-wire': [[{ behind: wire, depth: 'half' }, 38], [{ behind: wire, depth: 'light' }, 38]],
  builds: [[{ stage: 'shape' }, 38], [{ stage: 'shape' }, 40]],
  binds: [[joining, 38], [joining, 40]],
  'lays-coat': [[coat, 38], [coat, 40]],
  smooths: [[coat, 40], [coat, 38]],
  'star-smooths': [[coat, 38, { profile: 'star' }], [coat, 36, { profile: 'star' }]],
  'spiral-lays-fibre': [[coat, 40, { profile: 'spiral' }], [detail, 40, { profile: 'spiral' }]],
  draws: [[detail, 40], [detail, 38]],
  'fixes-locks': [[hair, 38], [hair, 38, { profile: 'reverse' }]],
  'raises-fur': [[hair, 40, { profile: 'reverse' }], [hair, 40, { profile: 'star' }]],
}; // prettier-ignore

const heldAt = ([step, gauge, more]: Case): string[] => {
  const { because, also } = judgeNeedle(facts(step), needleFacts(gauge, more));
  return [...because, ...also];
};

describe('every rule about needles', () => {
  test.each(NEEDLE_RULES.map(({ id }) => id))('%s holds, and does not hold', (id) => {
    const [holds, not] = CASES[id];
    expect(heldAt(holds)).toContain(id);
    expect(heldAt(not)).not.toContain(id);
  });
  test('each has a reason, and what speaks against a needle has a mend', () => {
    for (const { id, strength, reason, mend } of NEEDLE_RULES) {
      expect(`${id}: ${reason}`.length).toBeGreaterThan(id.length + 12);
      expect(mend !== '').toBe(strength === 'never' || strength === 'poor');
    }
    expect(new Set(NEEDLE_RULES.map(({ id }) => id)).size).toBe(NEEDLE_RULES.length);
  });
});

describe('a verdict', () => {
  test('the worst word counts, and names the rule that made it', () => {
    const verdict = judgeNeedle(facts({ ...coat, behind: glass, depth: 'half' }), needleFacts(36));
    expect(verdict.strength).toBe('never');
    expect(verdict.because).toEqual(['strikes-glass']);
    expect(verdict.also).toContain('leaves-marks');
  });
  test('where nothing speaks for or against, it will do', () => {
    expect(judgeNeedle(facts({ stage: 'mount', act: 'felt' }), needleFacts(40))).toEqual({
      strength: 'fair',
      because: [],
      also: [],
    });
  });
  test('a profile nobody has said is held neither for nor against it', () => {
    const unknown = judgeNeedle(facts(coat), needleFacts(38));
    expect(unknown).toEqual({ strength: 'good', because: ['lays-coat'], also: [] });
    expect(judgeNeedle(facts(coat), needleFacts(38, { profile: 'star' })).because).toContain('star-smooths');
  });
  test('a needle nobody knows the coarseness of is not judged, and says so', () => {
    expect(judgeNeedle(facts(coat), needleFacts(null)).because).toEqual(['coarseness-unknown']);
  });
});

type FaultCase = readonly [step: Partial<StepFacts>, gauge: number, more?: Parameters<typeof step>[3]];

/** For each cause a step that gives it, and one that does not. */
const FAULTS: Readonly<Record<(typeof FAULT_RULES)[number]['id'], readonly [is: FaultCase, not: FaultCase]>> = {
  'coarse-on-surface': [[coat, 38], [coat, 40]],
  'deep-on-surface': [[{ ...coat, depth: 'half' }, 40], [{ ...coat, depth: 'light' }, 40]],
  'upright-on-surface': [[coat, 40, { stroke: 'straight-down' }], [coat, 40, { stroke: 'at-a-slant' }]],
  'stabbed-under': [[{ ...detail, depth: 'half' }, 40], [{ ...detail, depth: 'light' }, 40]],
  'coarse-for-detail': [[detail, 38], [detail, 40]],
  'soft-ground': [[{ ...detail, firmnessBefore: 'springy' }, 40], [{ ...detail, firmnessBefore: 'firm' }, 40]],
  'too-fine-inside': [[{ acrossMm: 40 }, 40], [{ acrossMm: 40 }, 38]],
  'too-short-inside': [[{ reachNeededMm: 30 }, 38], [{ reachNeededMm: 10 }, 38]],
  'light-inside': [[{ depth: 'light' }, 38], [{ depth: 'half' }, 38]],
  'rolled-loose': [[{ act: 'make' }, 38], [{ act: 'felt' }, 38]],
  'shallow-join': [[{ ...joining, depth: 'half' }, 38], [joining, 38]],
  'fine-in-join': [[joining, 40], [joining, 38]],
  'firm-end': [[joining, 38], [{ ...joining, firmnessBefore: null }, 38]],
  'onto-wire': [[{ behind: wire, depth: 'half' }, 38], [{ behind: wire, depth: 'light' }, 38]],
  'onto-glass': [[{ behind: glass }, 38], [{}, 38]],
  'fine-in-solid': [[{ firmnessBefore: 'firm', depth: 'half' }, 40], [{ firmnessBefore: 'firm', depth: 'half' }, 38]],
  steered: [[{ firmnessBefore: 'firm' }, 38, { stroke: 'along' }], [{ firmnessBefore: 'firm' }, 38, { stroke: 'at-a-slant' }]],
  'fine-for-bulk': [[{}, 40], [{}, 38]],
  'hard-already': [[{ stage: 'shape', firmnessBefore: 'solid' }, 38], [{ stage: 'shape' }, 38]],
  'coarse-wool': [[{ depth: 'half', fineness: new Set(['coarse']) }, 42], [{ depth: 'half', fineness: new Set(['coarse']) }, 38]],
  'coarse-at-end': [[{ ...coat, stage: 'finish' }, 38], [{ ...coat, stage: 'finish' }, 40]],
  'coat-not-closed': [[coat, 40], [{ ...coat, stage: 'finish' }, 40]],
  'through-thin': [[{ isThinFlat: true, depth: 'through' }, 38], [{ isThinFlat: true, depth: 'light' }, 38]],
  'coarse-through-thin': [[{ behind: sheet }, 36], [{ behind: sheet }, 38]],
}; // prettier-ignore

describe('every cause of a fault', () => {
  test.each(FAULT_RULES.map((rule) => [rule.id, rule] as const))('%s is one, and is not', (id, rule) => {
    const isSo = ([more, gauge, given]: FaultCase) => {
      const about = facts(more);
      // A needle of 20 mm: only reach is short of what a step may ask.
      const needle = needleFacts(gauge, { reachMm: 20 });
      const { because, also } = judgeNeedle(about, needle);
      return rule.holds(
        about,
        { ...needle, gauge, rules: new Set([...because, ...also]) },
        step('s', 'felt', [], given),
      );
    };
    const [is, not] = FAULTS[id];
    expect(isSo(is)).toBe(true);
    expect(isSo(not)).toBe(false);
  });
});

describe('docs/needles.md', () => {
  const page = readFileSync(fileURLToPath(new URL('../../../docs/needles.md', import.meta.url)), 'utf8');
  const rows = [...page.matchAll(/^\| `([\w-]+)` +\| ([\w-]+) +\| (.+?) +\|/gm)].map((match) =>
    match.slice(1, 4),
  );
  test('tells every rule and every cause as they are, and no other', () => {
    expect(rows).toEqual([
      ...NEEDLE_RULES.map(({ id, strength, reason }) => [id, strength, reason]),
      ...FAULT_RULES.map(({ id, symptom, cause }) => [id, symptom, cause]),
    ]);
  });
});
