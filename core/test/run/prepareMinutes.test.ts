import { describe, expect, test } from '@jest/globals';
import { prepareMinutes, MINUTES_A_BLEND, MINUTES_A_CUT } from '../../src/run/index.ts';
import { coastDesigns, coastWool, classOf } from '../support/coast.ts';
import { planOfToday } from '../../src/run/index.ts';

const worked = (seats: number) => {
  const input = { ...classOf(), seats };
  const { toPack, plan } = planOfToday(input, {
    designs: coastDesigns,
    shelf: coastWool,
    promisedG: new Map(),
  });
  return { toPack, plan };
};

describe('work before the day of a run', () => {
  test('a portion for each pack and fibre, and every pack closed', () => {
    const { toPack, plan } = worked(5);
    const minutes = prepareMinutes(toPack, plan, new Set());
    const portions = plan.groups.reduce((sum, group) => sum + group.packs * group.plan.fibres.length, 0);
    expect(minutes.weighing).toBeCloseTo(portions * 0.75, 9);
    expect(minutes.packing).toBeCloseTo(plan.groups.reduce((sum, { packs }) => sum + packs, 0) * 1.5, 9);
    expect(minutes.blending).toBe(0);
    expect(minutes.total).toBeCloseTo(
      minutes.weighing +
        minutes.packing +
        minutes.cutting +
        minutes.blending +
        minutes.samples +
        minutes.pieces,
      9,
    );
  });
  test('more people are more work', () => {
    const [few, many] = [worked(3), worked(12)];
    expect(prepareMinutes(many.toPack, many.plan, new Set()).total).toBeGreaterThan(
      prepareMinutes(few.toPack, few.plan, new Set()).total,
    );
  });
  test('a blend that is short is blended once', () => {
    const { toPack, plan } = worked(5);
    const short = { ...plan, fibres: plan.fibres.map((row) => ({ ...row, shortG: 4 })) };
    const [first] = short.fibres;
    const minutes = prepareMinutes(toPack, short, new Set([first?.fibreId ?? '']));
    expect(minutes.blending).toBe(MINUTES_A_BLEND);
    expect(minutes.cutting % MINUTES_A_CUT).toBe(0);
  });
});
