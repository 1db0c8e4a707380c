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
