import { enclosureName, measuredWords } from './figureWords.ts';
import { showNumber, showSizeMm } from '../base/index.ts';
import type { PartNeed } from '../build/index.ts';
import type { EngineWarning } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Remark, RemarkCode } from '../review/index.ts';
import { LEVEL_WORDS } from './patternWords.ts';
import { ownerWords } from './runWords.ts';
import { warningWords } from './woolWords.ts';
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

/** As its author chose it: “no” of a hat. */
function choiceWords(
  { optionId, valueId }: { optionId: string; valueId: string },
  { options }: Pattern,
): string {
  const option = options.find(({ id }) => id === optionId);
  const value = option?.values.find(({ id }) => id === valueId);
  return `with ${option?.name ?? 'an option'} “${value?.name ?? ''}”`;
}

const partName = (partId: string, pattern: Pattern): string =>
  ownerWords({ kind: 'part', id: partId }, pattern);

/** Why a part cannot do without another that is left out. */
const NEEDS_WORDS: Readonly<Record<PartNeed['why'], string>> = {
  'joined-onto': 'this is joined onto it',
  'lies-on': 'this lies on it',
  'size-from': 'this takes a size from it',
  'amount-from': 'this takes its amount from it',
};

type Says<C extends RemarkCode> = (
  remark: Extract<Remark, { readonly code: C }>,
  pattern: Pattern,
  fibreName: (fibreId: string) => string,
) => string;

const warned = (remark: EngineWarning, _pattern: Pattern, fibreName: (fibreId: string) => string): string =>
  warningWords(remark, fibreName);

/** What each rule of the review finds, and the mend. */
const SAYS: { readonly [C in RemarkCode]: Says<C> } = {
  all_coat: warned,
  inserts_overfull: warned,
  part_tiny: warned,
  fibre_coarse: warned,
  hair_beyond_staple: warned,
  trimmings_short: warned,
  statements_differ: warned,
  linear_differs: warned,
  stated_off: warned,
  wool_not_in_build: (remark) =>
    `It speaks of “${remark.inText}”, and no part or join has any. Say it as the shelf does, or give it to a part.`,
  part_not_in_build: (remark) =>
    `It speaks of “${remark.inText}”, and the figure has none. Say it as the part is called, or take it out.`,
  session_wool_not_in_build: (remark) =>
    `What is written of it speaks of “${remark.inText}”, and no part or join has any. Say it as the shelf does, or give it to a part.`,
  session_part_not_in_build: (remark) =>
    `What is written of it speaks of “${remark.inText}”, and the figure has none. Say it as the part is called, or take it out.`,
  session_starts_without: (remark) =>
    `${remark.name} lies on the table when it begins, and no step before has begun it. Make it earlier, or say who brings it.`,
  session_promise_absent: (remark) =>
    `What is written of it promises ${remark.inText} for later, and no later session has a step on it. Add one, or take the promise out.`,
  promised_absent: (remark) =>
    `It promises ${remark.inText} for later, and no later session has a step on it. Add one, or take the promise out.`,
  picture_of_other_build: (remark, pattern) =>
    `It shows ${remark.name}, and ${remark.optionId !== null && remark.valueId !== null ? choiceWords({ optionId: remark.optionId, valueId: remark.valueId }, pattern) : 'where nothing is chosen'} that is left out. Show it only in builds that have it.`,
  wisp_never_felted: () =>
    'Wool is laid on here, and nobody felts it down: it comes off. Name the needle, or say what holds it.',
  never_closed: () => 'It is left open here, and no later step closes it. Say when.',
  wrapped_against: (remark, { steps }) => {
    const at = steps.findIndex(({ id }) => id === remark.beforeId) + 1;
    return remark.was === 'laid'
      ? `“${remark.inText}” here, and step ${at} lays it the other way. Go one way, or say that it turns.`
      : `“${remark.inText}” here, and step ${at} leaves that to the maker. Say: the way you chose.`;
  },
  term_before_explained: (remark, { steps }) =>
    `“${remark.inText}” is explained only in step ${steps.findIndex(({ id }) => id === remark.explainedId) + 1}. Explain it here, where it is met first.`,
  finer_than_felt: (remark) =>
    `${remark.inText}: finer than felt can be made or a kitchen scale shows. Round it to what hands can hold to.`,
  exact_in_soft: () =>
    'A size is to be held to exactly, and soft felt gives under a thumb. Felt it firmer, or make the size a guide.',
  loose_end_unsaid: () =>
    'A join needs a loose end of it, and no step that makes it says to leave one. Say which end stays unfelted.',
  loose_end_nowhere: () =>
    'An end is left loose here, and no join uses it. Say what it goes into, or felt it closed.',
  opening_never_made: () =>
    'Something goes through an opening, and no step before makes one. Say where it is left.',
  choice_never_made: () => 'It recalls a choice, and no step before asks for one. Add it where it is made.',
  hanger_after_coat: () =>
    'It is fastened after the coat is on, and its stitches show. Fasten it before, or say what covers them.',
  matched_too_early: (remark) =>
    `It matches ${remark.name} before all of them are made. Move it after the last.`,
  pale_after_dark: (remark, _pattern, fibreName) =>
    `${fibreName(remark.paleId)} comes after ${fibreName(remark.darkId)} on the same piece: dark fibre stays on needle and mat. Pale first, a cloth over the dark, or a mat of its own.`,
  never_lifted: () =>
    'It is felted on the mat, and nobody says to lift it: it grows into the mat. Say when to turn it.',
  sides_mixed: (_remark, { sidesSeen }) =>
    `Left and right are ${sidesSeen === 'viewer' ? 'the viewer’s' : 'the figure’s own'} in this pattern, and here they are the other’s. Say them one way.`,
  same_side_mirrored: () =>
    'It says both on one side, and the two are placed as in a mirror. Copy the place, or say inner and outer.',
  one_of_a_pair: (remark) => `There is one of ${remark.name}. Say it is meant so, or give it its fellow.`,
  pair_without_rule: () =>
    'Two are set on, and nobody has said whether as in a mirror, alike, or parted. Say so in Together.',
  joins_off: (remark) => `${remark.joins} joins for ${remark.count} pieces. One of the two is not so.`,
  holes_off: (remark) =>
    `Its words make ${remark.holes} for ${remark.name}, and there ${remark.count === 1 ? 'is 1' : `are ${remark.count}`}.`,
  curls_off: (remark) => `${remark.curls} ends are curled, and ${remark.ends} end in the open.`,
  range_in_words: (remark) =>
    `Its words say ${remark.inWords} of ${remark.name}, and the build leaves ${remark.low} to ${remark.high}. Say it one way.`,
  size_in_words: (remark, { lengthUnit }) =>
    `Its words say ${remark.inText}, and ${remark.name || 'the part'} is ${showSizeMm(remark.isMm, lengthUnit)} there, at no stage as said.`,
  finding_size_in_words: (remark) => `Its words say ${remark.inText}, and ${remark.name} is on the list.`,
  units_disagree: (remark) => `${remark.inText}: the two are not one length.`,
  size_without_stage: (remark) => `${remark.inText}, and not whether rolled or felted. Say when it is so.`,
  wire_under_stretch: (remark, { lengthUnit }) =>
    `${remark.stretch || 'A stretch'} is ${showSizeMm(remark.saidMm, lengthUnit)}, and what it runs through is ${showSizeMm(remark.needMm, lengthUnit)}.`,
  grams_too_fine: (remark) =>
    `${showNumber(remark.massG, 2)} g shows on no kitchen scale. Say beside it what hands take: a wisp, a length.`,
  left_hanging: (remark, pattern) =>
    `${choiceWords(remark, pattern)} ${partName(remark.missingId, pattern)} is left out, and ${NEEDS_WORDS[remark.why]}. Leave this out too, or join it elsewhere.`,
  core_laid_bare: (remark, pattern) =>
    `${choiceWords(remark, pattern)} it has no coat: its core shows. Give it another, or say so.`,
  place_laid_bare: (remark, pattern) =>
    `${choiceWords(remark, pattern)} it shows the place where ${partName(remark.missingId, pattern)} would have sat. Say how it is closed.`,
  core_shows_through: (remark) =>
    `Its coat of ${showNumber(remark.gPerM2, 0)} g/m² lets the core show; ${showNumber(remark.wantedGPerM2, 0)} hides it. Lay more, or shade on purpose.`,
  set_into_soft: (remark) =>
    `${remark.name} is set into wool that gives: it works loose. Felt it firmer there.`,
  detail_on_soft: () => 'Lines and dots on wool that gives sink and blur. Felt it firmer first.',
  many_acts: (remark) =>
    `${remark.acts} things one after another in one step. Hands lose their place: part it.`,
  picture_uncredited: () => 'The picture is not your own. Say what has to be printed as credit.',
  technique_uncredited: () => 'The technique is not your own. Say what has to be printed as credit.',
  outline_uncredited: () => 'Its outline is not your own drawing. Say what has to be printed as credit.',
  part_never_made: () => 'No step makes it. Add one, or say which step does.',
  part_never_joined: () => 'No step and no join fastens it. Say what it is joined to.',
  join_never_made: () => 'No step makes this join. Add it to the step that does.',
  step_empty: () => 'Nothing is written. Say what to do.',
  needle_not_said: () => 'No needle is named, and its stage has none. Choose one.',
  no_minutes_at_all: () =>
    'No step says how long it takes: no class can be timed by it. Say minutes at your pace, step by step.',
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
  loose_end_felted_shut: (remark) =>
    `Its ends are felted here, and ${remark.name} is joined by a loose one. Leave one open, or join with fresh wool.`,
  wire_in_soft: (remark) =>
    `It is held by ${remark.name}, and that gives: the wire wanders. Felt it firmer around it.`,
  line_beyond_staple: (remark, { lengthUnit }) =>
    `The line is ${showSizeMm(remark.lengthMm, lengthUnit)}, and its fibre is ${showSizeMm(remark.stapleMm, lengthUnit)} long. Say how it is laid in lengths.`,
  firmness_off: (remark) =>
    remark.is === 'as firm'
      ? `Its words want ${remark.name} as firm as ${remark.otherName}, and it is not. One of the two is not so.`
      : `Its words want ${remark.name} ${remark.is} than ${remark.otherName}, and it is not. Say how firm each is.`,
  holder_reach: (remark, { lengthUnit }) =>
    `Needles in a holder do not reach through ${showSizeMm(remark.acrossMm, lengthUnit)}. One needle, or from all sides.`,
  fine_work_hidden: (remark, pattern) =>
    `A detail on it lies within ${partName(remark.byPartId, pattern)}: nobody sees it. Move it, or leave it out.`,
  base_left_disturbed: () =>
    'What is stabbed into it pulls it about, and nobody goes over it again. Add a step after the last.',
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

/** What a reader would stumble over, and the mend. @param fibreName what the shelf calls a fibre */
export const remarkWords = (
  remark: Remark,
  pattern: Pattern,
  fibreName: (fibreId: string) => string = () => 'this fibre',
): string => {
  const words = (SAYS[remark.code] as Says<RemarkCode>)(remark, pattern, fibreName);
  const whole = words.charAt(0).toUpperCase() + words.slice(1);
  if (!remark.inBuild) return whole;
  const choice = choiceWords(remark.inBuild, pattern);
  return `${choice.charAt(0).toUpperCase()}${choice.slice(1)}: ${whole}`;
};
