import type { Pattern } from '../../src/pattern/index.ts';
import type { Remark } from '../../src/review/index.ts';
import { part, pattern, shapes } from './make.ts';
import { joined, step } from './writing.ts';

type Code = Remark['code'];

/** A figure for what may be wrong with it: two parts, a join, two steps, an option, two slots, a colourway. */
export const faulty: Pattern = pattern([part('Body', shapes.ball(60)), part('Leg', shapes.limb(40, 12))], {
  joins: [joined('Leg', 'Body')],
  steps: [step('first', 'make', ['Body']), step('second', 'make', ['Leg'])],
  options: [
    {
      id: 'hat',
      name: 'a hat',
      kind: 'one-of',
      defaultValueId: 'none',
      values: [
        { id: 'none', name: 'none', things: [] },
        { id: 'tall', name: 'tall', things: [] },
      ],
    },
  ],
  slots: [
    { id: 'skin', name: 'skin', places: [], rule: null },
    { id: 'shade', name: 'shade', places: [], rule: null },
  ],
  colourways: [{ id: 'dusk', name: 'Dusk', fills: [] }],
});

const rule = {
  slotId: 'shade',
  is: 'darker',
  thanSlotId: 'skin',
  colourwayId: 'dusk',
  lightness: 60,
  thanLightness: 40,
} as const;

/** One of each; a code that is missing here does not compile. */
export const EVERY_FINDING: { readonly [C in Code]: Extract<Remark, { code: C }> } = {
  height_under_part: { code: 'height_under_part', partId: 'Leg', leastMm: 60 },
  height_over_parts: { code: 'height_over_parts', mostMm: 120 },
  proportion_off: { code: 'proportion_off', proportionId: 'half' },
  enclosure_too_small: { code: 'enclosure_too_small', enclosureId: 'dome' },
  height_off_figure: { code: 'height_off_figure', statedMm: 118, heightMm: 138 },
  part_never_made: { code: 'part_never_made', partId: 'Leg' },
  part_never_joined: { code: 'part_never_joined', partId: 'Leg' },
  join_never_made: { code: 'join_never_made', joinId: 'Leg-Body' },
  step_empty: { code: 'step_empty', stepId: 'second' },
  needle_not_said: { code: 'needle_not_said', stepId: 'second' },
  minutes_not_said: { code: 'minutes_not_said', stepId: 'second' },
  waiting_not_said: { code: 'waiting_not_said', stepId: 'second' },
  check_without_remedy: { code: 'check_without_remedy', stepId: 'second' },
  order_broken: {
    code: 'order_broken',
    link: {
      by: 'derived',
      beforeId: 'second',
      afterId: 'first',
      strength: 'must',
      reason: 'made-before-joined',
      partId: 'Leg',
    },
  },
  sides_not_said: { code: 'sides_not_said', stepId: 'second' },
  value_never_allowed: { code: 'value_never_allowed', optionId: 'hat', valueId: 'tall' },
  slot_rule_broken: { code: 'slot_rule_broken', rule },
  tool_not_listed: {
    code: 'tool_not_listed',
    needKey: 'finger-guards',
    what: { is: 'tool', tool: 'finger-guards' },
  },
  tool_not_used: { code: 'tool_not_used', needKey: 'own-1', what: { is: 'own', name: 'a bowl' } },
  adapt_not_granted: { code: 'adapt_not_granted' },
  credit_missing: { code: 'credit_missing' },
};
