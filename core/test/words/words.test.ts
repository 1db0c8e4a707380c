import { expect, test } from '@jest/globals';
import type { Problem, ProblemCode } from '../../src/problems/index.ts';
import { problemWords, refusalWords } from '../../src/words/index.ts';

/** One of each; a code that is missing here does not compile. */
const EVERY: { readonly [Code in ProblemCode]: Extract<Problem, { code: Code }> } = {
  title_empty: { code: 'title_empty', pointer: '' },
  size_not_positive: { code: 'size_not_positive', pointer: '', valueMm: -1 },
  size_too_large: { code: 'size_too_large', pointer: '', valueMm: 9000, limitMm: 2000 },
  limb_shorter_than_wide: { code: 'limb_shorter_than_wide', pointer: '', lengthMm: 5, diameterMm: 9 },
  drop_without_point: { code: 'drop_without_point', pointer: '', lengthMm: 20, diameterMm: 50 },
  ring_without_hole: { code: 'ring_without_hole', pointer: '', outerMm: 20, ropeMm: 12 },
  taper_ends_swapped: { code: 'taper_ends_swapped', pointer: '', thickMm: 5, thinMm: 9 },
  number_out_of_range: { code: 'number_out_of_range', pointer: '', value: 0, min: 1, max: 9 },
  not_whole: { code: 'not_whole', pointer: '', value: 1.5 },
  fibre_not_found: { code: 'fibre_not_found', pointer: '', fibreId: 'x' },
  step_not_found: { code: 'step_not_found', pointer: '', stepId: 'x' },
  picture_not_found: { code: 'picture_not_found', pointer: '', pictureId: 'x' },
  thing_not_found: { code: 'thing_not_found', pointer: '', kind: 'join', id: 'x' },
  order_circular: { code: 'order_circular', pointer: '', numbers: [2, 4, 2] },
  minutes_reversed: { code: 'minutes_reversed', pointer: '', low: 9, high: 4 },
  options_exclude_all: { code: 'options_exclude_all', pointer: '' },
  technique_act: { code: 'technique_act', pointer: '' },
  parameter_not_found: { code: 'parameter_not_found', pointer: '', key: 'length' },
  part_not_found: { code: 'part_not_found', pointer: '', partId: 'x' },
  id_twice: { code: 'id_twice', pointer: '', id: 'x' },
  sizes_missing: { code: 'sizes_missing', pointer: '', missing: ['length'] },
  fibre_missing: { code: 'fibre_missing', pointer: '', role: 'coat' },
  finding_missing: { code: 'finding_missing', pointer: '' },
  amount_incomplete: { code: 'amount_incomplete', pointer: '', form: 'tops' },
  amount_missing: { code: 'amount_missing', pointer: '' },
  corner_too_round: { code: 'corner_too_round', pointer: '', cornerMm: 12, narrowMm: 18 },
  boxes_have_no_seats: { code: 'boxes_have_no_seats', pointer: '/roster' },
  count_missing: { code: 'count_missing', pointer: '' },
  loose_end_unknown: { code: 'loose_end_unknown', pointer: '' },
  count_reversed: { code: 'count_reversed', pointer: '', low: 9, high: 4 },
  weight_missing: { code: 'weight_missing', pointer: '' },
  core_twice: { code: 'core_twice', pointer: '' },
  use_not_found: { code: 'use_not_found', pointer: '', useId: 'x' },
  shared_not_found: { code: 'shared_not_found', pointer: '', sharedId: 'x' },
  finding_not_found: { code: 'finding_not_found', pointer: '', findingId: 'x' },
  join_to_itself: { code: 'join_to_itself', pointer: '' },
  join_circular: { code: 'join_circular', pointer: '', names: ['Leg', 'Body', 'Leg'] },
  sleeve_thinner_than_wire: { code: 'sleeve_thinner_than_wire', pointer: '', wireMm: 2, diameterMm: 1.6 },
  outlines_too_fine: { code: 'outlines_too_fine', pointer: '', points: 40_000, mostPoints: 30_000 },
  outline_missing: { code: 'outline_missing', pointer: '' },
  outline_unsound: { code: 'outline_unsound', pointer: '', fault: 'open' },
  loose_end_of_neither: { code: 'loose_end_of_neither', pointer: '' },
  no_parts: { code: 'no_parts', pointer: '' },
  no_wool: { code: 'no_wool', pointer: '' },
  swap_open: { code: 'swap_open', pointer: '' },
  colour_not_read: { code: 'colour_not_read', pointer: '', text: 'blue-ish' },
  name_taken: { code: 'name_taken', pointer: '', name: 'spring' },
  inner_over_outer: { code: 'inner_over_outer', pointer: '', innerMm: 9, outerMm: 8 },
  needle_nameless: { code: 'needle_nameless', pointer: '' },
  pile_too_small: { code: 'pile_too_small', pointer: '', pile: 'in', has: 1 },
  more_back_than_out: { code: 'more_back_than_out', pointer: '', out: 3 },
  seat_beyond: { code: 'seat_beyond', pointer: '', seat: 12, seats: 11 },
  seat_twice: { code: 'seat_twice', pointer: '', seat: 3 },
  choose_by_late: { code: 'choose_by_late', pointer: '', date: '2026-12-05' },
  boxes_missing: { code: 'boxes_missing', pointer: '' },
  box_empty: { code: 'box_empty', pointer: '' },
  labels_too_wide: { code: 'labels_too_wide', pointer: '', neededMm: 230, pageMm: 210 },
  labels_too_tall: { code: 'labels_too_tall', pointer: '', neededMm: 330, pageMm: 297 },
  permission_missing: {
    code: 'permission_missing',
    pointer: '',
    titles: ['Stag beetle brooch'],
    what: 'teach',
  },
  state_wants: { code: 'state_wants', pointer: '', wants: 'weighing', count: 3 },
  reason_missing: { code: 'reason_missing', pointer: '' },
  pack_twice: { code: 'pack_twice', pointer: '' },
  blend_empty: { code: 'blend_empty', pointer: '' },
  part_twice: { code: 'part_twice', pointer: '' },
  blend_circular: { code: 'blend_circular', pointer: '', names: ['Dusk', 'Tide', 'Dusk'] },
  cell_not_read: { code: 'cell_not_read', pointer: '', column: 'g per m', text: 'lots', wanted: 'a number' },
  row_twice: { code: 'row_twice', pointer: '', name: 'Moss', firstLine: 2 },
  not_on_shelf: { code: 'not_on_shelf', pointer: '', name: 'Moss' },
  several_on_shelf: { code: 'several_on_shelf', pointer: '', name: 'Chalk' },
  lot_not_found: { code: 'lot_not_found', pointer: '', name: 'x', lots: [] },
  lot_not_said: { code: 'lot_not_said', pointer: '', lots: ['a', 'b'] },
  stock_short: { code: 'stock_short', pointer: '', name: 'Moss', onHandG: 3, wantedG: 9 },
  date_not_read: { code: 'date_not_read', pointer: '', text: 'soon' },
  field_not_known: { code: 'field_not_known', pointer: '', field: 'x' },
  field_missing: { code: 'field_missing', pointer: '', field: 'x' },
  field_wrong: { code: 'field_wrong', pointer: '', reason: 'must be a number' },
};

test.each(Object.values(EVERY))('$code is worded in one plain sentence or two', (problem) => {
  const words = problemWords(problem);
  expect(words).toMatch(/^[A-Z“0-9].*\.$/s);
  expect(words).not.toMatch(/!|undefined|NaN|data|entity/);
});

test('a size that cannot be read is told how to write one', () => {
  expect(refusalWords({ code: 'length_not_read', text: 'abc' })).toContain('6 cm');
  expect(refusalWords({ code: 'size_not_positive', valueMm: -3 })).toContain('more than 0');
});
