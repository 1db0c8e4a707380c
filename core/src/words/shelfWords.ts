import type {
  FibreFlag,
  FindingFlag,
  FindingMeasure,
  Fineness,
  MeasuredBy,
  Nap,
  Preparation,
  Profile,
  Provision,
  Reason,
  StockUnit,
  ToolSort,
} from '../shelf/index.ts';

export const PREPARATION_WORDS: Readonly<Record<Preparation, string>> = {
  'core-batt': 'core batt',
  batt: 'batt',
  carded: 'carded sliver',
  tops: 'tops',
  locks: 'locks',
  'pre-felt': 'pre-felt sheet',
  felt: 'felt sheet',
  yarn: 'part-spun yarn',
  loose: 'loose',
};

export const FINENESS_WORDS: Readonly<Record<Fineness, string>> = {
  coarse: 'coarse',
  medium: 'medium',
  fine: 'fine',
};

export const FIBRE_FLAG_WORDS: Readonly<Record<FibreFlag, string>> = {
  lanolin: 'lanolin left in',
  'animal-hair': 'hair other than wool',
  plant: 'plant fibre',
  silk: 'silk',
  synthetic: 'synthetic',
  superwash: 'treated not to felt',
  'may-bleed': 'dye may bleed',
  mothproofed: 'mothproofed',
  scented: 'scented',
};

export const FINDING_FLAG_WORDS: Readonly<Record<FindingFlag, string>> = {
  'small-part': 'small part',
  magnet: 'magnet',
  sharp: 'sharp',
  hot: 'used hot',
  solvent: 'solvent',
  glass: 'glass',
};

/** What is usual to say of a thing so flagged. Reminders; local rules and qualified advice decide. */
export const FINDING_CAUTIONS: Readonly<Record<FindingFlag, string>> = {
  'small-part': 'Small part: not for children under three.',
  magnet: 'Magnets are dangerous if swallowed: keep them from children, and see a doctor at once.',
  sharp: 'Sharp: cut wire ends are turned back, points are capped.',
  hot: 'Burns: a stand, a mat, and nobody reaching across.',
  solvent: 'Solvent: open a window, and follow its label.',
  glass: 'Glass: check for chips, and sweep up what breaks at once.',
};

export const MEASURED_BY_WORDS: Readonly<Record<MeasuredBy, string>> = {
  count: 'by the piece',
  length: 'by length',
  area: 'by area',
  volume: 'by volume',
};

export const SORT_WORDS: Readonly<Record<FindingMeasure['sort'], string>> = {
  eye: 'eyes',
  bead: 'beads',
  bell: 'bells',
  'pin-back': 'pin backs',
  magnet: 'magnets',
  found: 'found things',
  wire: 'wire',
  stem: 'fuzzy stems',
  ribbon: 'ribbon',
  cord: 'cord',
  thread: 'thread',
  sheet: 'sheet',
  fabric: 'fabric',
  card: 'card',
  glue: 'glue',
  stiffener: 'stiffener',
  paint: 'paint',
  other: 'other',
};

export const NAP_WORDS: Readonly<Record<Nap, string>> = {
  none: 'no nap',
  'along-length': 'nap along the length',
  across: 'nap across',
};

export const PROFILE_WORDS: Readonly<Record<Profile, string>> = {
  triangular: 'triangular',
  star: 'star',
  spiral: 'spiral',
  crown: 'crown',
  reverse: 'reverse',
};

export const TOOL_SORT_WORDS: Readonly<Record<ToolSort, string>> = {
  holder: 'needle holder',
  surface: 'felting surface',
  tool: 'tool',
};

export const PROVISION_WORDS: Readonly<Record<Provision, string>> = {
  person: 'one each',
  table: 'one a table',
  room: 'one a room',
};

export const REASON_WORDS: Readonly<Record<Reason, string>> = {
  received: 'received',
  counted: 'counted',
  packed: 'packed',
  sample: 'used in a sample',
  blended: 'blended',
  spoiled: 'spoiled',
  returned: 'returned',
  undone: 'import taken back',
};

export const UNIT_WORDS: Readonly<Record<StockUnit, string>> = {
  g: 'g',
  piece: 'pcs',
  m: 'm',
  cm2: 'cm²',
  ml: 'ml',
};
