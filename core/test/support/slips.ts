import { needsOf } from '../../src/needles/index.ts';
import {
  blankCut,
  blankUse,
  OWN_RIGHTS,
  UPRIGHT,
  type Pattern,
  type Rights,
  type Step,
} from '../../src/pattern/index.ts';
import type { RemarkCode } from '../../src/review/index.ts';
import { mm, part, shapes, use } from './make.ts';
import type { Make } from './reviewed.ts';
import { joined, step } from './writing.ts';
import { say } from './reviewed.ts';

/** Does one thing wrong in a copy of a clean figure. */
type Slip = (figure: Pattern, make: Make) => void;

/** What is told of itself where this is done wrong: a part left out is not joined either. */
export interface Planted {
  readonly plant: Slip;
  readonly follows?: readonly RemarkCode[];
}

const thing = <T extends { readonly id: string }>(things: readonly T[], id: string): T => {
  const found = things.find((each) => each.id === id);
  if (!found) throw new Error(`nothing called ${id}`);
  return found;
};
const stepOf = (figure: Pattern, id: string): Step => thing(figure.steps, id);
const partOf = (figure: Pattern, id: string) => thing(figure.parts, id);
const joinOf = (figure: Pattern, id: string) => thing(figure.joins, id);
const wireOf = (figure: Pattern) =>
  thing(figure.cuts, 'wire') as Extract<Pattern['cuts'][number], { kind: 'wire' }>;
const text = (figure: Pattern, id: string, more: string) => void (stepOf(figure, id).text += more);
const add = (figure: Pattern, after: string, ...steps: Step[]) =>
  void figure.steps.splice(figure.steps.findIndex(({ id }) => id === after) + 1, 0, ...steps);
const grams = (massG: number | null) => ({ form: 'grams' as const, massG, highG: null, isWeighed: false });
const tops = (lengthMm: number) => ({
  form: 'tops' as const,
  length: mm(lengthMm),
  highLength: null,
  ways: 1,
});
const mirrored = (aroundDeg: number) => ({
  rule: 'mirror' as const,
  spanDeg: 360,
  heldBy: 'base' as const,
  places: [{ aroundDeg, heightFraction: 0.7, leanUpDeg: 0, leanAsideDeg: 0, twistDeg: 0 }],
});
const theirs: Rights = { origin: 'learned', from: 'a friend', permissions: [], credit: '' };
const extra = (figure: Pattern, ...things: Pattern['options'][number]['values'][number]['things']) =>
  void figure.options.push({
    id: 'more',
    name: 'something more',
    kind: 'extra',
    defaultValueId: 'yes',
    values: [
      { id: 'yes', name: 'yes', things },
      { id: 'no', name: 'no', things: [] },
    ],
  });
const slotted = (figure: Pattern) =>
  void figure.slots.push(
    { id: 'skin', name: 'skin', places: [{ kind: 'use', id: 'body-coat' }], rule: { is: 'darker', thanSlotId: 'inside' } },
    { id: 'inside', name: 'inside', places: [{ kind: 'use', id: 'limb-core' }], rule: null },
  ); // prettier-ignore
const check = (more: object) => ({ id: 'k', look: 'it', how: '', pass: 'it holds', remedy: 'felt on', returnToStepId: null, ...more }); // prettier-ignore
/** Nothing comes late enough any more to lay a coat or work in a detail. */
const noLateStep = (figure: Pattern) => {
  for (const each of figure.steps) each.stage = 'shape';
};
const collar = (figure: Pattern) => {
  figure.parts.push({ ...part('collar', shapes.ring(40, 8)), name: 'Collar' });
};
const withCollarSized = (figure: Pattern) => {
  collar(figure);
  partOf(figure, 'collar').derived.push({
    from: 'part',
    size: 'outer',
    partId: 'fin',
    ofSize: 'length',
    ratio: 1.5,
  });
  figure.joins.push(joined('collar', 'body', { looseEnd: null }));
  add(figure, 'fin', say('collar', 'make', ['collar'], 'Felt the ring.'));
  add(figure, 'fin-on', say('collar-on', 'join', ['collar', 'body'], 'Stab it on.', { stage: 'join' }));
};
const length = (figure: Pattern, kind: 'cord' | 'binding' | 'length', name: string, more: object = {}) =>
  void figure.cuts.push({ ...blankCut('extra-cut', kind), name, ...more });

/** One session, as well described as any. */
const day = (figure: Pattern, more: Partial<Pattern['sessions'][number]>) =>
  void figure.sessions.push({
    id: 'day',
    name: 'One',
    firstStepId: 'bend',
    startState: 'wool and wire',
    safeStop: 'anywhere',
    homework: '',
    ...more,
  });

const spot = (aroundDeg: number, heightFraction: number, leanUpDeg = 0) => ({
  aroundDeg,
  heightFraction,
  leanUpDeg,
  leanAsideDeg: 0,
  twistDeg: 0,
});
/** Every piece is where its author put it, and nothing in it is of unknown weight. */
const placed = (figure: Pattern, { limbs }: Make, limbsAt: readonly ReturnType<typeof spot>[]) => {
  figure.stance = { ...UPRIGHT };
  figure.cuts = [];
  figure.steps = figure.steps.filter(({ id }) => id !== 'bend');
  const put = (rule: 'each' | 'mirror', places: readonly ReturnType<typeof spot>[]) => ({
    rule,
    spanDeg: 360,
    heldBy: 'base' as const,
    places: [...places],
  });
  joinOf(figure, 'fin-body').placement = put('each', [spot(180, 0.6)]);
  joinOf(figure, 'limb-body').placement = put('mirror', limbsAt.slice(0, limbs / 2));
};
/** On legs straight below, fore and aft. */
const LEGS = [spot(60, 0.15, -70), spot(120, 0.15, -70)];

/** One for each rule of the review. */
export const SLIPS: { readonly [C in RemarkCode]: Planted } = {
  part_never_made: { plant: collar },
  part_never_joined: { plant: (f) => { collar(f); add(f, 'fin', say('collar', 'make', ['collar'], 'Felt the ring.')); } },
  join_never_made: { plant: (f) => { stepOf(f, 'fin-on').partIds = ['fin']; stepOf(f, 'fin-on').joinIds = []; stepOf(f, 'fin-on').act = { kind: 'felt' }; } },
  host_made_later: { plant: (f) => { const [body] = f.steps.splice(1, 1); add(f, 'fin-on', ...(body ? [body] : [])); }, follows: ['order_broken', 'coat_never_laid'] },
  joined_unfelted: { plant: (f) => { stepOf(f, 'limbs').needle = { by: 'none' }; } },
  stand_in_stays: { plant: (f) => add(f, 'body', step('pins', { kind: 'stand-in', standsFor: 'the eyes', untilStepId: null }, ['body'], { text: 'Two beads on pins stand in.' })) },
  loose_end_unsaid: { plant: (f) => { stepOf(f, 'limbs').text = 'Felt them round the wire.'; } },
  loose_end_nowhere: { plant: (f) => text(f, 'fin', ' Leave one end loose.') },
  opening_never_made: { plant: (f) => text(f, 'coat', ' Pull it through the hole.') },
  finding_never_put_on: { plant: (f) => { f.findings.push({ id: 'bell', findingId: 'bell', partId: null, count: 1, placement: null }); stepOf(f, 'eyes').act = { kind: 'felt' }; } },
  finding_unsaid_in_build: { plant: (f) => { f.findings.push({ id: 'bell', findingId: 'bell', partId: 'body', count: 1, placement: null }); extra(f, { kind: 'finding', id: 'bell' }); f.options[0]!.defaultValueId = 'no'; } },
  cut_never_used: { plant: (f) => length(f, 'length', 'Ribbon', { length: mm(80) }) },
  coat_never_laid: { plant: noLateStep },
  detail_never_worked: { plant: (f) => { partOf(f, 'fin').uses.push(use('dot', 'fin-dot', 'soot', { diameter: mm(4), count: 1 })); noLateStep(f); }, follows: ['coat_never_laid'] },
  wool_not_in_build: { plant: (f) => text(f, 'coat', ' Add a little purple wool.') },
  part_not_in_build: { plant: (f) => text(f, 'finish', ' Look at the ears once more.') },
  tool_not_listed: { plant: (f) => { const [need] = needsOf(f).listed; f.tools.push({ id: 't', needKey: need?.key ?? null, name: '', per: 'person', count: 1, isLeftOut: true }); } },
  tool_not_used: { plant: (f) => void f.tools.push({ id: 't', needKey: null, name: 'a bowl', per: 'room', count: 1, isLeftOut: false }) },
  picture_never_shown: { plant: (f) => void f.pictures.push({ id: 'p', name: 'front', alt: 'the front', rights: OWN_RIGHTS }) },
  picture_without_words: { plant: (f) => { f.pictures.push({ id: 'p', name: 'front', alt: ' ', rights: OWN_RIGHTS }); stepOf(f, 'coat').pictures.push({ id: 'x', pictureId: 'p', caption: '' }); } },
  order_broken: { plant: (f) => void f.links.push({ id: 'l', beforeId: 'finish', afterId: 'eyes', strength: 'must', reason: '' }) },
  waiting_not_said: { plant: (f) => add(f, 'finish', say('dry', 'wait', ['body'], 'Let it dry.', { minutes: null, needle: { by: 'none' } })) },
  glue_sets_longer: { plant: (f) => { f.findings.push({ id: 'glue', findingId: 'glue', partId: 'body', count: 1, placement: null }); add(f, 'finish', say('glue', 'glue', ['body'], 'A drop of glue.', { waiting: 30, checks: [check({})], needle: { by: 'none' }, stage: 'finish' })); } },
  irreversible_unchecked: { plant: (f) => add(f, 'finish', say('trim', 'cut', ['fin'], 'Cut what stands off.', { needle: { by: 'none' }, stage: 'finish' })) },
  decision_never_recalled: { plant: (f) => add(f, 'body', step('which', { kind: 'decide', question: 'Which way?', answers: ['round', 'along'] }, ['body'])) },
  caution_taken_off: { plant: (f) => { for (const each of f.steps) each.cautions.dismissed.push('wire-end'); } },
  hanger_after_coat: { plant: (f) => { length(f, 'cord', 'Cord', { drop: mm(200), seat: { partId: 'body', runs: 'up', hangBy: null, placement: null } }); add(f, 'eyes', say('hang', 'sew', ['body'], 'Sew the cord on.', { stage: 'mount', needle: { by: 'none' } })); } },
  matched_too_early: { plant: (f, { limb }) => text(f, 'body', ` Sort each ${limb.toLowerCase()} by its length.`) },
  pale_after_dark: { plant: (f) => { const { uses } = partOf(f, 'body'); const coat = uses.find(({ role }) => role === 'coat'); if (coat && 'fibreId' in coat) coat.fibreId = 'soot'; uses.push(use('hair', 'mane', 'chalk', { line: mm(20), drop: mm(15) })); add(f, 'fin-on', say('mane', 'felt', ['body'], 'Stab the hair in along its middle.', { stage: 'hair' })); } },
  session_wool_not_in_build: { plant: (f) => day(f, { safeStop: 'Put the purple wool away.' }) },
  session_part_not_in_build: { plant: (f) => day(f, { safeStop: 'Put the ears away.' }) },
  session_starts_without: { plant: (f) => { day(f, {}); day(f, { id: 'two', firstStepId: 'fin', startState: 'the body and the fin' }); } },
  session_promise_absent: { plant: (f) => day(f, { homework: 'Nothing: the fin is made next time.' }) },
  promised_absent: { plant: (f) => text(f, 'finish', ' The fin is set on next time.') },
  picture_of_other_build: { plant: (f) => { f.pictures.push({ id: 'p', name: 'side', alt: 'the fin from the side', rights: OWN_RIGHTS }); stepOf(f, 'coat').pictures.push({ id: 'x', pictureId: 'p', caption: '' }); extra(f, { kind: 'part', id: 'fin' }, { kind: 'step', id: 'fin' }, { kind: 'step', id: 'fin-on' }, { kind: 'join', id: 'fin-body' }); } },
  wisp_never_felted: { plant: (f) => add(f, 'finish', say('wisp', 'wrap', ['body'], 'Lay a thin wisp along the back.', { stage: 'finish', needle: { by: 'none' } })) },
  never_closed: { plant: (f) => text(f, 'finish', ' Leave the seam open.') },
  wrapped_against: { plant: (f) => { text(f, 'coat', ' Wrap it clockwise.'); text(f, 'finish', ' Brush it anticlockwise.'); } },
  term_before_explained: { plant: (f) => { text(f, 'body', ' Skim it.'); text(f, 'coat', ' Skimming means close along the surface.'); } },
  finer_than_felt: { plant: (f) => text(f, 'coat', ' It keeps its 62.3 mm.') },
  exact_in_soft: { plant: (f) => { partOf(f, 'fin').firmness = 'airy'; partOf(f, 'fin').exactness.push({ size: 'length', is: 'exact' }); } },
  never_lifted: { plant: (f) => { stepOf(f, 'fin').text = 'Lay it out and felt it flat.'; } },
  choice_never_made: { plant: (f) => text(f, 'coat', ' Go the way you chose.') },
  check_without_remedy: { plant: (f) => void stepOf(f, 'coat').checks.push(check({ remedy: '' })) },
  check_without_look: { plant: (f) => void stepOf(f, 'coat').checks.push(check({ look: '' })) },
  check_points_ahead: { plant: (f) => void stepOf(f, 'coat').checks.push(check({ returnToStepId: 'finish' })) },
  decision_without_answers: { plant: (f) => { add(f, 'body', step('which', { kind: 'decide', question: 'Which way?', answers: ['round'] }, ['body'])); stepOf(f, 'finish').recallsStepId = 'which'; } },
  choice_of_one: { plant: (f) => add(f, 'eyes', step('choose', { kind: 'choose', findingUseIds: ['eyes'] }, ['body'])) },
  sides_not_said: { plant: (f) => { f.sidesSeen = null; text(f, 'coat', ' Begin on its left.'); } },
  sides_mixed: { plant: (f) => text(f, 'coat', ' Begin on your left.') },
  same_side_mirrored: { plant: (f) => { f.findings[0]!.placement = mirrored(30); text(f, 'finish', ' Both lights sit upper right.'); } },
  one_of_a_pair: { plant: (f) => { partOf(f, 'fin').name = 'Ear'; } },
  pair_without_rule: { plant: (f) => { partOf(f, 'fin').count = 2; joinOf(f, 'limb-body').placement = { ...mirrored(90), rule: 'ring' }; } },
  joins_off: { plant: (f, { limbs }) => { joinOf(f, 'limb-body').count = limbs + 1; } },
  repeat_off: { plant: (f) => { stepOf(f, 'limbs').repeat = { times: 3, notes: [] }; } },
  count_in_words: { plant: (f, { limb }) => { stepOf(f, 'limbs').text = `Felt three ${limb.toLowerCase()}s round the wire, one end loose.`; } },
  range_in_words: { plant: (f) => { partOf(f, 'fin').count = { low: 2, high: 4 }; stepOf(f, 'fin').text = 'Felt three fins flat, turning them over.'; } },
  holes_off: { plant: (f) => { stepOf(f, 'eyes').text = 'Poke one hole for the eyes and sew them on with strong thread.'; } },
  curls_off: { plant: (f) => { wireOf(f).segments = [1, 2, 3].map((at) => ({ name: `toe ${at}`, partId: null, length: mm(20), strands: 1, isTwisted: false })); } },
  size_in_words: { plant: (f) => { stepOf(f, 'body').text = 'Felt it until it is 30 mm across.'; } },
  finding_size_in_words: { plant: (f) => { stepOf(f, 'eyes').text = 'Sew the 12 mm eyes on with strong thread.'; } },
  units_disagree: { plant: (f) => text(f, 'coat', ' Keep it 2 mm (⅛ in).') },
  size_without_stage: { plant: (f, { bodyMm }) => { stepOf(f, 'body').text = `Make it ${bodyMm} mm across.`; } },
  wire_under_stretch: { plant: (f, { limbMm }) => { wireOf(f).segments[0]!.length = mm(limbMm * 0.5); } },
  grams_too_fine: { plant: (f) => void partOf(f, 'fin').uses.push({ ...blankUse('wisp', 'added', 'coat'), amount: grams(0.05) } as never) },
  statements_differ: { plant: (f) => Object.assign(thing(partOf(f, 'body').uses, 'body-coat'), { amount: grams(2), alsoSaid: [tops(1000)] }), follows: ['stated_off'] },
  linear_differs: { plant: (f) => { Object.assign(thing(partOf(f, 'body').uses, 'body-coat'), { amount: grams(2), alsoSaid: [tops(150)] }); partOf(f, 'fin').uses.push({ ...blankUse('fin-coat', 'coat', 'coat'), amount: grams(2), alsoSaid: [tops(600)] } as never); }, follows: ['statements_differ', 'stated_off', 'all_coat'] },
  stated_off: { plant: (f) => Object.assign(thing(partOf(f, 'body').uses, 'body-core'), { amount: grams(0.5) }) },
  inserts_overfull: { plant: (f) => { partOf(f, 'body').shape = shapes.ball(50); partOf(f, 'body').uses.push({ ...blankUse('bells', 'insert'), findingId: 'bell', count: 500 } as never); }, follows: ['stated_off', 'all_coat'] },
  trimmings_short: { plant: (f) => { partOf(f, 'body').uses.push(use('hair', 'mane', 'coat', { line: mm(20), drop: mm(15) })); Object.assign(thing(partOf(f, 'limb').uses, 'limb-core'), { amount: { form: 'trimmings', ofUseId: 'mane' } }); } },
  all_coat: { plant: (f) => { partOf(f, 'fin').shape = shapes.flat(40, 24, 3); partOf(f, 'fin').uses.push(use('coat', 'fin-coat', 'coat', { thickness: { by: 'said', gPerM2: 900 } })); } },
  part_tiny: { plant: (f) => { partOf(f, 'fin').shape = shapes.ball(2); partOf(f, 'fin').uses = [blankUse('fin-core', 'core', 'coat')]; }, follows: ['fibre_coarse'] },
  fibre_coarse: { plant: (f) => Object.assign(thing(partOf(f, 'fin').uses, 'fin-core'), { fibreId: 'coarse' }) },
  hair_beyond_staple: { plant: (f) => void partOf(f, 'body').uses.push(use('hair', 'mane', 'coat', { line: mm(20), drop: mm(90) })) },
  left_hanging: { plant: (f) => { withCollarSized(f); extra(f, { kind: 'part', id: 'fin' }); }, follows: ['part_not_in_build'] },
  core_laid_bare: { plant: (f) => extra(f, { kind: 'use', id: 'body-coat' }) },
  place_laid_bare: { plant: (f) => { joinOf(f, 'fin-body').sink = mm(3); extra(f, { kind: 'part', id: 'fin' }); }, follows: ['part_not_in_build'] },
  core_shows_through: { plant: (f) => Object.assign(thing(partOf(f, 'body').uses, 'body-coat'), { fibreId: 'soot', thickness: { by: 'said', gPerM2: 5 } }) },
  firmness_off: { plant: (f) => text(f, 'fin', ' Felt it firmer than the body.') },
  holder_reach: { plant: (f) => { const body = stepOf(f, 'body'); body.holder = 3; body.depth = 'through'; } },
  fine_work_hidden: { plant: (f) => { partOf(f, 'body').uses.push(use('dot', 'spot', 'coat', { diameter: mm(2), count: 1, placement: { rule: 'each', spanDeg: 360, heldBy: 'base', places: [{ aroundDeg: 0, heightFraction: 0.5, leanUpDeg: 0, leanAsideDeg: 0, twistDeg: 0 }] } })); partOf(f, 'fin').shape = shapes.ball(30); joinOf(f, 'fin-body').placement = { rule: 'each', spanDeg: 360, heldBy: 'base', places: [{ aroundDeg: 0, heightFraction: 0.5, leanUpDeg: 0, leanAsideDeg: 0, twistDeg: 0 }] }; joinOf(f, 'fin-body').sink = mm(6); }, follows: ['pair_without_rule'] },
  base_left_disturbed: { plant: (f) => { stepOf(f, 'finish').partIds = ['fin', 'limb']; stepOf(f, 'eyes').partIds = []; f.findings = []; } },
  loose_end_felted_shut: { plant: (f) => text(f, 'limbs', ' Then felt both ends round.') },
  wire_in_soft: { plant: (f) => { partOf(f, 'limb').firmness = 'airy'; } },
  line_beyond_staple: { plant: (f) => void partOf(f, 'body').uses.push(use('line', 'seam', 'coat', { length: mm(100), count: 1 })) },
  set_into_soft: { plant: (f) => { partOf(f, 'body').firmness = 'airy'; } },
  detail_on_soft: { plant: (f) => { partOf(f, 'fin').firmness = 'airy'; partOf(f, 'fin').uses.push(use('dot', 'fin-dot', 'soot', { diameter: mm(4), count: 1 })); } },
  needle_not_said: { plant: (f) => { stepOf(f, 'coat').needle = { by: 'stage' }; } },
  needle_by_colour: { plant: (f) => { stepOf(f, 'coat').needle = { by: 'none' }; text(f, 'coat', ' Use the green needle.'); } },
  no_minutes_at_all: { plant: (f) => { for (const each of f.steps) each.minutes = null; } },
  minutes_not_said: { plant: (f) => { stepOf(f, 'coat').minutes = null; } },
  minutes_unlikely: { plant: (f) => { for (const id of ['body', 'finish']) stepOf(f, id).minutes = 0.5; } },
  strip_without_depth: { plant: (f) => Object.assign(thing(partOf(f, 'fin').uses, 'fin-core'), { amount: { form: 'strip', length: mm(60), width: mm(40), depth: null, highLength: null, highWidth: null } }), follows: ['stated_off'] },
  wire_ends_bare: { plant: (f) => { wireOf(f).endCurls = 0; } },
  cord_without_knot: { plant: (f) => { length(f, 'cord', 'Cord', { drop: mm(100), knots: 0 }); text(f, 'eyes', ' Tie the cord.'); } },
  binding_without_turns: { plant: (f) => { length(f, 'binding', 'Binding', { girth: mm(40) }); text(f, 'eyes', ' Lay the binding round.'); } },
  level_below: { plant: (f) => { f.level = 'first-timer'; f.prerequisites = ''; } },
  prerequisites_missing: { plant: (f) => { f.prerequisites = ' '; } },
  title_blank: { plant: (f) => { f.title = ' '; } },
  step_empty: { plant: (f) => { stepOf(f, 'finish').text = ''; } },
  step_too_long: { plant: (f) => { stepOf(f, 'coat').text = 'Go round once more and once more and look at it. '.repeat(7); } },
  many_acts: { plant: (f) => { stepOf(f, 'finish').text = 'Roll it once more, wrap it, sew it, cut what stands off, and set it on.'; } },
  step_without_parts: { plant: (f) => add(f, 'coat', say('which', 'felt', [], 'Felt on.')) },
  points_at_nothing: { plant: (f) => add(f, 'coat', say('again', 'check', [], 'As before.')) },
  picture_promised: { plant: (f) => text(f, 'coat', ' As shown below.') },
  part_unnamed: { plant: (f) => { partOf(f, 'fin').name = ' '; } },
  names_alike: { plant: (f) => { partOf(f, 'fin').name = 'Body'; } },
  session_without_step: { plant: (f) => void f.sessions.push({ id: 'day', name: 'One', firstStepId: null, startState: 'wool', safeStop: 'here', homework: '' }) },
  session_not_described: { plant: (f) => void f.sessions.push({ id: 'day', name: 'One', firstStepId: 'bend', startState: '', safeStop: '', homework: '' }) },
  value_never_allowed: { plant: (f) => { extra(f); f.options.push({ id: 'other', name: 'another', kind: 'one-of', defaultValueId: 'x', values: [{ id: 'x', name: 'x', things: [] }] }); f.limits.push({ id: 'l', kind: 'not-with', a: { optionId: 'more', valueId: 'no' }, b: { optionId: 'other', valueId: 'x' }, reason: '' }); } },
  slot_rule_broken: { plant: (f) => { slotted(f); Object.assign(thing(partOf(f, 'limb').uses, 'limb-core'), { fibreId: 'soot' }); } },
  slot_without_places: { plant: (f) => void f.slots.push({ id: 's', name: 's', places: [], rule: null }) },
  colourway_as_written: { plant: (f) => void f.colourways.push({ id: 'dusk', name: 'Dusk', fills: [] }) },
  height_over_parts: { plant: (f) => { f.cuts = []; f.steps = f.steps.filter(({ id }) => id !== 'bend'); f.finishedHeight = mm(3000); } },
  height_off_figure: { plant: (f, make) => { placed(f, make, LEGS); f.stance = { ...UPRIGHT, rests: 'lies' }; f.finishedHeight = mm(make.bodyMm * 2.4); } },
  feature_does_not_fit: { plant: (f) => { f.findings[0]!.placement = mirrored(1); } },
  figure_falls: { plant: (f, make) => { placed(f, make, [spot(5, 0.6), spot(10, 0.75)]); partOf(f, 'limb').shape = shapes.ball(45); partOf(f, 'limb').firmness = 'solid'; } },
  figure_hangs_crooked: { plant: (f, make) => { placed(f, make, LEGS); f.stance = { ...UPRIGHT, rests: 'hangs', hangAt: { partId: 'body', aroundDeg: 90, heightFraction: 0.6 } }; } },
  height_under_part: { plant: (f) => { f.finishedHeight = mm(20); } },
  proportion_off: { plant: (f) => void f.proportions.push({ id: 'p', a: { of: 'part', partId: 'fin', size: 'length' }, b: { of: 'part', partId: 'fin', size: 'width' }, ratio: 5, toleranceFraction: 0.05 }) },
  enclosure_too_small: { plant: (f) => void f.enclosures.push({ id: 'e', name: 'jar', shape: 'round', findingId: null, across: mm(15), depth: null, height: mm(15), openingAcross: null, openingDepth: null }) },
  adapt_not_granted: { plant: (f) => { f.rights = { ...theirs, origin: 'derived', credit: 'after a friend' }; } },
  credit_missing: { plant: (f) => { f.rights = theirs; } },
  picture_uncredited: { plant: (f) => { f.pictures.push({ id: 'p', name: 'front', alt: 'the front', rights: theirs }); stepOf(f, 'coat').pictures.push({ id: 'x', pictureId: 'p', caption: '' }); } },
  technique_uncredited: { plant: (f) => void f.techniques.push({ id: 't', techniqueId: 'rolled', name: 'Rolled', version: 1, partIds: ['limb'], values: [], rights: theirs }) },
  outline_uncredited: { plant: (f) => { partOf(f, 'fin').outlineRights = theirs; } },
}; // prettier-ignore
