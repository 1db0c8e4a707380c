import { enclosureName, measuredWords } from './figureWords.ts';
import { showSizeMm } from '../base/index.ts';
import type { Need } from '../needles/index.ts';
import type {
  ActKind,
  Caution,
  Depth,
  LinkStrength,
  Origin,
  PartState,
  Pattern,
  PermissionState,
  Permitted,
  StepPlace,
  Stroke,
} from '../pattern/index.ts';
import type { Remark } from '../review/index.ts';
import type { ToolKey } from '../shelf/index.ts';
import type { LevelMeasure, OrderLink, OrderReason } from '../writing/index.ts';
import { joinWords } from './cutWords.ts';
import { wantedName } from './needleWords.ts';

export const ACT_WORDS: Readonly<Record<ActKind, string>> = {
  make: 'make',
  tack: 'tack',
  join: 'join',
  felt: 'felt',
  wrap: 'wrap or coat',
  cut: 'cut',
  sew: 'sew',
  glue: 'glue',
  wait: 'wait',
  check: 'check',
  choose: 'choose on the figure',
  decide: 'decide early',
  'stand-in': 'put in for now',
};

export const PLACE_WORDS: Readonly<Record<StepPlace, string>> = {
  'in-hand': 'in the hand',
  'on-surface': 'on the surface',
  'on-template': 'on a template',
  'in-place': 'in its place',
};

export const STROKE_WORDS: Readonly<Record<Stroke, string>> = {
  'toward-centre': 'toward the centre',
  'straight-down': 'straight down',
  'at-a-slant': 'at a slant',
  along: 'along',
  'one-direction': 'in one direction',
  'edges-first': 'edges first',
  'round-a-rim': 'round the rim',
  'in-passes': 'in passes, there and back',
  skimmed: 'skimmed, close along the surface',
  dipped: 'dipped in and straight out',
  swept: 'swept with the tip',
  'sideways-at-an-end': 'sideways, at an end',
  'from-both-sides': 'from both sides',
  'through-and-out': 'through and out again',
  'in-one-spot': 'in one spot, to draw it in',
  'deep-in-a-spot': 'deep in one spot, to shrink it there',
};

export const DEPTH_WORDS: Readonly<Record<Depth, string>> = {
  light: 'light',
  half: 'half in',
  through: 'right through',
};

export const STATE_WORDS: Readonly<Record<PartState, string>> = {
  rolled: 'rolled',
  tacked: 'tacked',
  'half-firm': 'half firm',
  felted: 'felted',
  joined: 'joined',
  covered: 'covered',
  trimmed: 'trimmed',
};

export const CAUTION_NAMES: Readonly<Record<Caution, string>> = {
  needle: 'Barbed needle',
  blade: 'Blade',
  hot: 'Hot',
  glue: 'Glue',
  'wire-end': 'Wire ends',
  'small-part': 'Small part',
  allergy: 'Allergies',
  irreversible: 'Cannot be undone',
};

/** Our own wording of what is usual to say. Reminders; local rules and qualified advice decide. */
export const CAUTION_WORDS: Readonly<Record<Caution, string>> = {
  needle:
    'Barbed needles are sharp and break. Look at the work, pad beneath it, straight in and out, fingers curled. A tip left in the skin: medical help.',
  blade: 'Cut away from the hand that holds the work, and close the scissors before you put them down.',
  hot: 'It burns. Set it on its stand, keep cords off the edge, and let nobody reach across.',
  glue: 'Air the room, keep it off skin and away from flames, and follow its label. Instant glue bonds skin.',
  'wire-end':
    'Cut ends fly and prick: hold both sides when you cut, eyes away, and curl every end back flat.',
  'small-part':
    'Small parts come off. Not for children under three; magnets are dangerous if swallowed. What is sold falls under local rules.',
  allergy: 'Wool, lanolin, dyes and scents: ask about allergies before the bags are opened.',
  irreversible: 'This cannot be undone. Fit it and look at it from all sides first.',
};

export const STRENGTH_WORDS: Readonly<Record<LinkStrength, string>> = {
  must: 'must',
  easier: 'is easier',
  'while-soft': 'while still soft',
};

const REASON_WORDS: Readonly<Record<OrderReason, string>> = {
  'made-before-joined': 'it is made before it is joined',
  'made-before-covered': 'it is made before it is covered',
  'joined-before-covered': 'the join is made before it is covered',
  'dry-before-handled': 'it dries before it is handled',
  'set-before-sorted': 'the whole set is made before it is compared',
  'put-before-taken-off': 'it is put in before it is taken out',
  'decided-before-recalled': 'it is decided before it is recalled',
};

/** Why two steps come in this order. */
export const linkReason = (link: OrderLink, pattern: Pick<Pattern, 'parts'>): string => {
  if (link.by === 'author') return link.words.trim() === '' ? 'the author said so' : link.words;
  const part = pattern.parts.find(({ id }) => id === link.partId);
  return part ? `${part.name}: ${REASON_WORDS[link.reason]}` : REASON_WORDS[link.reason];
};

/** Step 3 before step 7: the wing is made before it is joined. */
export function linkWords(link: OrderLink, pattern: Pick<Pattern, 'parts' | 'steps'>): string {
  const number = (stepId: string) => pattern.steps.findIndex(({ id }) => id === stepId) + 1;
  return `step ${number(link.beforeId)} before step ${number(link.afterId)}: ${linkReason(link, pattern)}`;
}

export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  own: 'my own',
  derived: 'derived from',
  learned: 'learned from',
  unknown: 'origin unknown',
};

export const PERMITTED_WORDS: Readonly<Record<Permitted, string>> = {
  make: 'make it',
  'sell-made': 'sell what is made',
  teach: 'teach it',
  'sell-kits': 'sell kits of it',
  share: 'share the instructions',
  adapt: 'change it',
  translate: 'translate it',
};

/** What the author lets everybody do with it, said on what is given away; nothing said: nothing is granted. */
export const grantsWords = (grants: readonly Permitted[]): string =>
  grants.length === 0
    ? ''
    : `From its author you may ${joinWords(grants.map((what) => PERMITTED_WORDS[what]))}.`;

export const PERMISSION_STATE_WORDS: Readonly<Record<PermissionState, string>> = {
  granted: 'granted',
  asked: 'asked',
  refused: 'refused',
  'not-asked': 'not asked',
};

export const TOOL_WORDS: Readonly<Record<ToolKey, string>> = {
  surface: 'felting surface',
  holder: 'needle holder',
  'finger-guards': 'finger guards',
  scissors: 'scissors',
  'sewing-needle': 'sewing needle and thread',
  glue: 'glue',
  'glue-drops': 'drops of glue',
  pliers: 'pliers',
  'wire-cutters': 'wire cutters',
  pins: 'pins',
  water: 'water and a cloth',
  scale: 'scale',
  ruler: 'ruler',
  guide: 'printed guide',
  pencil: 'pencil',
  iron: 'iron',
  tape: 'tape',
};

/** What a line of the tool list is called. */
export function needName({ what }: Pick<Need, 'what'>): string {
  switch (what.is) {
    case 'needle':
      return `${wantedName(what.wanted)} needle`;
    case 'tool':
      return TOOL_WORDS[what.tool];
    case 'own':
      return what.name;
  }
}

export const MEASURE_WORDS: Readonly<Record<LevelMeasure, string>> = {
  smallest: 'smallest feature',
  pieces: 'pieces',
  joins: 'joins',
  minutes: 'minutes',
};

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

/** What a reader would stumble over, and the mend. */
export function remarkWords(finding: Remark, pattern: Pattern): string {
  const slot = (id: string) => pattern.slots.find((candidate) => candidate.id === id)?.name ?? 'a slot';
  switch (finding.code) {
    case 'part_never_made':
      return 'No step makes it. Add one, or say which step does.';
    case 'part_never_joined':
      return 'No step and no join fastens it. Say what it is joined to.';
    case 'join_never_made':
      return 'No step makes this join. Add it to the step that does.';
    case 'step_empty':
      return 'Nothing is written. Say what to do.';
    case 'needle_not_said':
      return 'No needle is named, and its stage has none. Choose one.';
    case 'minutes_not_said':
      return 'No minutes at your pace yet.';
    case 'waiting_not_said':
      return 'Something sets or dries: say how long.';
    case 'check_without_remedy':
      return 'A check needs what passes, and what to do when it does not.';
    case 'order_broken':
      return `Out of order: ${linkWords(finding.link, pattern)}.`;
    case 'sides_not_said':
      return 'Left or right, and nobody has said whose. Say it once, under About.';
    case 'value_never_allowed': {
      const option = pattern.options.find(({ id }) => id === finding.optionId);
      const value = option?.values.find(({ id }) => id === finding.valueId);
      return `“${value?.name ?? ''}” of ${option?.name ?? 'an option'} can never be chosen: its limits forbid it in every build.`;
    }
    case 'slot_rule_broken': {
      const { rule } = finding;
      const where =
        pattern.colourways.find(({ id }) => id === rule.colourwayId)?.name ?? 'the pattern as written';
      return `${slot(rule.slotId)} is not ${rule.is} than ${slot(rule.thanSlotId)} in ${where}. Choose another fibre.`;
    }
    case 'tool_not_listed':
      return `A step uses it, and it is left off the list: ${needName(finding)}.`;
    case 'tool_not_used':
      return `Listed, and no step speaks of it: ${needName(finding)}.`;
    case 'height_under_part':
      return `The finished height is less than this, its largest part, is thick (${showSizeMm(finding.leastMm, pattern.lengthUnit)}). One of the two is not so.`;
    case 'height_over_parts':
      return `The finished height is more than all its parts on end (${showSizeMm(finding.mostMm, pattern.lengthUnit)}). One of them is not so.`;
    case 'height_off_figure':
      return `Put together the figure is ${showSizeMm(finding.heightMm, pattern.lengthUnit)} high, and ${showSizeMm(finding.statedMm, pattern.lengthUnit)} is stated. Move its pieces, or say its height.`;
    case 'proportion_off':
    case 'enclosure_too_small':
      return wantWords(finding, pattern);
    case 'adapt_not_granted':
      return 'It is derived from another’s design, and leave to change it is not recorded.';
    case 'credit_missing':
      return 'It is not your own design. Say what has to be printed as credit.';
  }
}
