import { enclosureName, measuredWords } from './figureWords.ts';
import { showNumber, showSizeMm } from '../base/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Remark, RemarkCode } from '../review/index.ts';
import { LEVEL_WORDS } from './patternWords.ts';
import { CAUTION_NAMES, linkWords, needName } from './writingWords.ts';

/** What its author wants of a figure and does not get, and the mend. */
function wantWords(
  want: Extract<Remark, { code: 'proportion_off' | 'enclosure_too_small' }>,
  pattern: Pattern,
): string {
  if (want.code === 'enclosure_too_small') {
    const enclosure = pattern.enclosures.find(({ id }) => id === want.enclosureId);
    return `The figure does not go into ${enclosure ? enclosureName(enclosure) : 'what it is for'}. Make it smaller, or say how large that is.`;
  }
  const proportion = pattern.proportions.find(({ id }) => id === want.proportionId);
  const of = proportion
    ? `${measuredWords(proportion.a, pattern)} to ${measuredWords(proportion.b, pattern)}`
    : 'A proportion';
  return `${of} is no longer as it is wanted. Change one of the two, or what is wanted, in Together.`;
}

const slotName = (id: string, { slots }: Pattern): string =>
  slots.find((candidate) => candidate.id === id)?.name ?? 'a slot';

/** What each rule of the review finds, and the mend. */
const SAYS: {
  readonly [C in RemarkCode]: (remark: Extract<Remark, { readonly code: C }>, pattern: Pattern) => string;
} = {
  part_never_made: () => 'No step makes it. Add one, or say which step does.',
  part_never_joined: () => 'No step and no join fastens it. Say what it is joined to.',
  join_never_made: () => 'No step makes this join. Add it to the step that does.',
  step_empty: () => 'Nothing is written. Say what to do.',
  needle_not_said: () => 'No needle is named, and its stage has none. Choose one.',
  minutes_not_said: () => 'No minutes at your pace yet.',
  waiting_not_said: () => 'Something sets or dries: say how long.',
  check_without_remedy: () => 'A check needs what passes, and what to do when it does not.',
  order_broken: (remark, pattern) => `Out of order: ${linkWords(remark.link, pattern)}.`,
  sides_not_said: () => 'Left or right, and nobody has said whose. Say it once, under About.',
  value_never_allowed: (remark, pattern) => {
    const option = pattern.options.find(({ id }) => id === remark.optionId);
    const value = option?.values.find(({ id }) => id === remark.valueId);
    return `“${value?.name ?? ''}” of ${option?.name ?? 'an option'} can never be chosen: its limits forbid it in every build.`;
  },
  slot_rule_broken: (remark, pattern) => {
    const { rule } = remark;
    const where =
      pattern.colourways.find(({ id }) => id === rule.colourwayId)?.name ?? 'the pattern as written';
    return `${slotName(rule.slotId, pattern)} is not ${rule.is} than ${slotName(rule.thanSlotId, pattern)} in ${where}. Choose another fibre.`;
  },
  tool_not_listed: (remark) => `A step uses it, and it is left off the list: ${needName(remark)}.`,
  tool_not_used: (remark) => `Listed, and no step speaks of it: ${needName(remark)}.`,
  height_under_part: (remark, pattern) =>
    `The finished height is less than this, its largest part, is thick (${showSizeMm(remark.leastMm, pattern.lengthUnit)}). One of the two is not so.`,
  height_over_parts: (remark, pattern) =>
    `The finished height is more than all its parts on end (${showSizeMm(remark.mostMm, pattern.lengthUnit)}). One of them is not so.`,
  height_off_figure: (remark, pattern) =>
    `Put together the figure is ${showSizeMm(remark.heightMm, pattern.lengthUnit)} high, and ${showSizeMm(remark.statedMm, pattern.lengthUnit)} is stated. Move its pieces, or say its height.`,
  proportion_off: (remark, pattern) => wantWords(remark, pattern),
  enclosure_too_small: (remark, pattern) => wantWords(remark, pattern),
  finding_never_put_on: () => 'No step puts it on. Add one, or take it off the list.',
  finding_unsaid_in_build: (remark, pattern) => {
    const option = pattern.options.find(({ id }) => id === remark.optionId);
    const value = option?.values.find(({ id }) => id === remark.valueId);
    return `${remark.name}: with ${option?.name ?? 'an option'} “${value?.name ?? ''}” no step speaks of it. Say in a step of that build where it goes.`;
  },
  cut_never_used: () => 'Cut, and no step uses it. Say where it goes, or take it out.',
  coat_never_laid: () => 'It has a coat, and no step on it comes late enough to lay it. Add one.',
  detail_never_worked: () => 'A detail is listed on it, and no step works it in. Add one.',
  picture_never_shown: () => 'No step shows this picture. Put it beside one, or take it out.',
  picture_without_words: () => 'Nothing is said in its place for who cannot see it. Say what is on it.',
  host_made_later: () => 'It is set on before what carries it is made. Move one of the two steps.',
  joined_unfelted: () => 'It is set on while it is only rolled. Felt it first, or say what it is by then.',
  stand_in_stays: () => 'Something stands in here, and no step takes it off again. Say which.',
  irreversible_unchecked: () =>
    'What is cut or glued stays so, and nothing is looked at before. Add a check.',
  decision_never_recalled: () => 'Something is decided here, and no later step recalls it.',
  glue_sets_longer: (remark) =>
    `Its glue sets ${remark.settingMinutes} minutes, and less is waited. Wait longer, or say another glue.`,
  caution_taken_off: (remark) =>
    `A caution that follows from this step is taken off: ${CAUTION_NAMES[remark.caution]}.`,
  check_without_look: () => 'A check does not say what to look at.',
  check_points_ahead: () => 'A check sends back to a step that is still to come.',
  decision_without_answers: () => 'A decision needs its question and two answers at least.',
  choice_of_one: () => 'A choice needs two things at least to choose from.',
  repeat_off: (remark) => `Repeated ${remark.times} times, and there are ${remark.count}.`,
  count_in_words: (remark) =>
    `Its words say ${remark.inWords} of ${remark.name}, and the build has ${remark.count}.`,
  step_without_parts: () => 'Something is worked on, and no part is named. Say which.',
  points_at_nothing: () =>
    'It says “again” or “as before”, and nothing says what of. Name the part, or write it out.',
  picture_promised: () => 'Its words promise a picture, and there is none.',
  step_too_long: (remark) =>
    `${remark.words} words in one step: more than hands full of wool remember. Part it in two.`,
  part_unnamed: () => 'It has no name. Give it one.',
  names_alike: () => 'Another part is called the same. Call one of them something else.',
  title_blank: () => 'The pattern has no name.',
  needle_by_colour: () =>
    'A needle is told by its colour alone, and other makers’ colours are other needles. Name its gauge.',
  minutes_unlikely: (remark) =>
    `${showNumber(remark.minutes, 0)} minutes for ${showNumber(remark.massG, 1)} g of felt: less than hands take.`,
  strip_without_depth: () =>
    'A strip without its depth: nobody can tear as much again. Say how thick it lies.',
  wire_ends_bare: () => 'Its ends are not curled back: they prick.',
  cord_without_knot: () => 'It has no knot: nothing holds it.',
  binding_without_turns: () => 'Neither turns nor a seam: it takes no thread.',
  level_below: (remark) =>
    `It asks for ${LEVEL_WORDS[remark.proposed]}, and less is written, with no reason.`,
  prerequisites_missing: () => 'For practised hands, and what one should have made before is not said.',
  session_without_step: () => 'It begins with no step. Say which is its first.',
  session_not_described: () => 'What lies on the table when it begins, or where it can be left, is not said.',
  slot_without_places: (remark, pattern) =>
    `${slotName(remark.slotId, pattern)} colours nothing. Give it a place, or take it out.`,
  colourway_as_written: (remark, pattern) => {
    const colourway = pattern.colourways.find(({ id }) => id === remark.colourwayId);
    return `${colourway?.name ?? 'A colourway'} changes nothing.`;
  },
  feature_does_not_fit: (remark) =>
    `${remark.name || 'A detail'} does not fit where it sits. Move it, or take another size.`,
  figure_falls: () => 'As it is put together it falls over. Together says what mends it.',
  figure_hangs_crooked: (remark) =>
    `It hangs ${showNumber(Math.abs(remark.tiltDeg), 0)}° out of straight. Together says from where it hangs straight.`,
  adapt_not_granted: () => 'It is derived from another’s design, and leave to change it is not recorded.',
  credit_missing: () => 'It is not your own design. Say what has to be printed as credit.',
};

/** What a reader would stumble over, and the mend. */
export const remarkWords = (remark: Remark, pattern: Pattern): string =>
  (SAYS[remark.code] as (remark: Remark, pattern: Pattern) => string)(remark, pattern);
