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
  finding_never_put_on: { code: 'finding_never_put_on', findingUseId: 'eyes' },
  finding_unsaid_in_build: {
    code: 'finding_unsaid_in_build',
    findingUseId: 'eyes',
    name: 'Glass eye',
    optionId: 'hat',
    valueId: 'tall',
  },
  cut_never_used: { code: 'cut_never_used', cutId: 'cord' },
  coat_never_laid: { code: 'coat_never_laid', partId: 'Leg', useId: 'coat' },
  detail_never_worked: { code: 'detail_never_worked', partId: 'Leg', useId: 'dot' },
  picture_never_shown: { code: 'picture_never_shown', pictureId: 'photo' },
  picture_without_words: { code: 'picture_without_words', pictureId: 'photo' },
  host_made_later: { code: 'host_made_later', joinId: 'Leg-Body' },
  joined_unfelted: { code: 'joined_unfelted', partId: 'Leg' },
  stand_in_stays: { code: 'stand_in_stays', stepId: 'first' },
  irreversible_unchecked: { code: 'irreversible_unchecked', stepId: 'first' },
  decision_never_recalled: { code: 'decision_never_recalled', stepId: 'first' },
  glue_sets_longer: { code: 'glue_sets_longer', stepId: 'first', settingMinutes: 120 },
  caution_taken_off: { code: 'caution_taken_off', stepId: 'first', caution: 'hot' },
  check_without_look: { code: 'check_without_look', stepId: 'first' },
  check_points_ahead: { code: 'check_points_ahead', stepId: 'first' },
  decision_without_answers: { code: 'decision_without_answers', stepId: 'first' },
  choice_of_one: { code: 'choice_of_one', stepId: 'first' },
  repeat_off: { code: 'repeat_off', stepId: 'second', times: 3, count: 4 },
  count_in_words: { code: 'count_in_words', stepId: 'second', inWords: 3, name: 'Leg', count: 4 },
  step_without_parts: { code: 'step_without_parts', stepId: 'first' },
  points_at_nothing: { code: 'points_at_nothing', stepId: 'first' },
  picture_promised: { code: 'picture_promised', stepId: 'first' },
  step_too_long: { code: 'step_too_long', stepId: 'first', words: 74 },
  part_unnamed: { code: 'part_unnamed', partId: 'Leg' },
  names_alike: { code: 'names_alike', partId: 'Leg', otherId: 'Body' },
  title_blank: { code: 'title_blank' },
  needle_by_colour: { code: 'needle_by_colour', stepId: 'first' },
  minutes_unlikely: { code: 'minutes_unlikely', stepId: 'first', minutes: 4, massG: 20 },
  strip_without_depth: { code: 'strip_without_depth', partId: 'Leg', useId: 'core' },
  wire_ends_bare: { code: 'wire_ends_bare', cutId: 'wire' },
  cord_without_knot: { code: 'cord_without_knot', cutId: 'cord' },
  binding_without_turns: { code: 'binding_without_turns', cutId: 'thread' },
  level_below: { code: 'level_below', proposed: 'practised' },
  prerequisites_missing: { code: 'prerequisites_missing' },
  session_without_step: { code: 'session_without_step', sessionId: 'day' },
  session_not_described: { code: 'session_not_described', sessionId: 'day' },
  slot_without_places: { code: 'slot_without_places', slotId: 'skin' },
  colourway_as_written: { code: 'colourway_as_written', colourwayId: 'dusk' },
  feature_does_not_fit: { code: 'feature_does_not_fit', detailKey: 'eyes.0', name: 'Bead eye 4 mm' },
  figure_falls: { code: 'figure_falls' },
  figure_hangs_crooked: { code: 'figure_hangs_crooked', tiltDeg: 14 },
  adapt_not_granted: { code: 'adapt_not_granted' },
  credit_missing: { code: 'credit_missing' },
};
