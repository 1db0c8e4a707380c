import {
  BLANK_FIBRE,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_TOOL,
  blankMeasure,
  type FibreInput,
  type FindingInput,
  type FindingMeasure,
  type NeedleInput,
  type Profile,
  proposeStandsFor,
  type Provision,
  type ToolInput,
  type ToolSort,
} from '../shelf/index.ts';

export const SHELF_GROUPS = ['core', 'coloured', 'special', 'findings', 'needles', 'tools'] as const;
export type ShelfGroup = (typeof SHELF_GROUPS)[number];

export type ShelfThing =
  | { readonly kind: 'fibre'; readonly input: FibreInput }
  | { readonly kind: 'finding'; readonly input: FindingInput }
  | { readonly kind: 'needle'; readonly input: NeedleInput }
  | { readonly kind: 'tool'; readonly input: ToolInput };

/** Something ordinary that is likely there, with what it is usually like. */
export type ShelfKind = ShelfThing & {
  readonly id: string;
  readonly group: ShelfGroup;
  /** It comes in colours: one is picked, or several. */
  readonly hasColours: boolean;
};

/** Said on everything that comes from here: its maker has measured none of it. */
const OURS = 'Usual values, ours: put in your own once you have measured.';

const fibre = (
  id: string,
  group: ShelfGroup,
  name: string,
  more: Partial<FibreInput>,
  hasColours = false,
): ShelfKind => ({
  id,
  group,
  hasColours,
  kind: 'fibre',
  input: { ...BLANK_FIBRE, name, note: OURS, ...more },
});

const finding = (
  id: string,
  name: string,
  measure: FindingMeasure,
  more: Partial<FindingInput> = {},
): ShelfKind => ({
  id,
  group: 'findings',
  hasColours: false,
  kind: 'finding',
  input: { ...BLANK_FINDING, name, measure, note: OURS, ...more },
});

type Counted = Extract<FindingMeasure, { by: 'count' }>;
const counted = (
  sort: Counted['sort'],
  massG: number,
  [length, width, height]: readonly [number, number, number],
  piecesPerPack: number,
): FindingMeasure => ({
  ...(blankMeasure('count') as Counted),
  sort,
  massG,
  outerMm: { length, width, height },
  piecesPerPack,
});
type ByLength = Extract<FindingMeasure, { by: 'length' }>;
const byLength = (
  sort: ByLength['sort'],
  diameterMm: number,
  linearGPerM: number,
  metresPerPack: number,
): FindingMeasure => ({ by: 'length', sort, diameterMm, linearGPerM, metresPerPack });

const needle = (gauge: number, profile: Profile, reachMm: number): ShelfKind => ({
  id: `needle-${gauge}-${profile}`,
  group: 'needles',
  hasColours: false,
  kind: 'needle',
  input: { ...BLANK_NEEDLE, gauge, profile, reachMm, note: OURS },
});

const tool = (
  id: string,
  name: string,
  sort: ToolSort,
  provision: Provision,
  more: Partial<ToolInput> = {},
): ShelfKind => ({
  id,
  group: 'tools',
  hasColours: false,
  kind: 'tool',
  input: { ...BLANK_TOOL, name, sort, provision, standsFor: proposeStandsFor({ name, sort }), ...more },
});

/** Steel wire of a diameter in mm, grams a metre: π ⁄ 4 × d² × 7.85. */
const wireGPerM = (diameterMm: number): number =>
  Math.round((Math.PI / 4) * diameterMm ** 2 * 7.85 * 100) / 100;

export const SHELF_KINDS: readonly ShelfKind[] = [
  fibre('core-white', 'core', 'Core, white', { preparation: 'core-batt', colour: '#e6e0d2', arealGPerM2: 350 }),
  fibre('core-grey', 'core', 'Core, natural grey', { preparation: 'core-batt', colour: '#b3aa9c', arealGPerM2: 350 }),
  fibre('core-sliver', 'core', 'Core sliver', { preparation: 'carded', colour: '#ded6c4', linearGPerM: 18 }),
  fibre('odds', 'core', 'Odds and ends', { preparation: 'loose', colour: '#8d8a86' }),
  fibre('carded', 'coloured', 'Carded sliver', { preparation: 'carded', linearGPerM: 14 }, true),
  fibre('batt', 'coloured', 'Carded batt', { preparation: 'batt', arealGPerM2: 250 }, true),
  fibre('tops-fine', 'coloured', 'Tops, fine', { preparation: 'tops', fineness: 'fine', linearGPerM: 22, stapleMm: 75 }, true),
  fibre('tops-medium', 'coloured', 'Tops, medium', { preparation: 'tops', fineness: 'medium', linearGPerM: 25, stapleMm: 90 }, true),
  fibre('locks', 'special', 'Locks, washed', { preparation: 'locks', colour: '#e9e4d6', stapleMm: 130, flags: ['lanolin'] }, true),
  fibre('pre-felt', 'special', 'Pre-felt', { preparation: 'pre-felt', arealGPerM2: 180, sheetLengthMm: 500, sheetWidthMm: 400 }, true),
  fibre('felt', 'special', 'Felt sheet', { preparation: 'felt', arealGPerM2: 300, sheetLengthMm: 300, sheetWidthMm: 200 }, true),
  fibre('yarn', 'special', 'Woollen yarn', { preparation: 'yarn', linearGPerM: 2 }, true),
  fibre('shine', 'special', 'Shiny plant fibre', { preparation: 'tops', colour: '#dfe2e0', linearGPerM: 25, stapleMm: 80, flags: ['plant'], feltsAlone: false }),
  finding('wire-06', 'Wire 0.6 mm', byLength('wire', 0.6, wireGPerM(0.6), 20), { colour: '#3a3a3e', flags: ['sharp'] }),
  finding('wire-12', 'Wire 1.2 mm', byLength('wire', 1.2, wireGPerM(1.2), 10), { colour: '#6a6a6e', flags: ['sharp'] }),
  finding('stem', 'Fuzzy stem', byLength('stem', 6, 1.6, 3), { colour: '#efe9dc' }),
  finding('cord', 'Cotton cord 1 mm', byLength('cord', 1, 0.9, 20), { colour: '#e6e0d2' }),
  finding('eye-3', 'Bead eyes 3 mm, black', counted('eye', 0.03, [3, 3, 3], 100), { colour: '#17171a', flags: ['small-part', 'glass'] }),
  finding('eye-4', 'Bead eyes 4 mm, black', counted('eye', 0.07, [4, 4, 4], 100), { colour: '#17171a', flags: ['small-part', 'glass'] }),
  finding('eye-6', 'Bead eyes 6 mm, black', counted('eye', 0.24, [6, 6, 6], 50), { colour: '#17171a', flags: ['small-part', 'glass'] }),
  finding('bell', 'Bell 10 mm', counted('bell', 0.9, [10, 10, 12], 20), { colour: '#b8963c', flags: ['small-part'] }),
  finding('pin-back', 'Pin back 25 mm', counted('pin-back', 1.3, [25, 5, 4], 20), { colour: '#b9b9bd', flags: ['sharp'] }),
  finding('magnet', 'Disc magnet 8 mm', counted('magnet', 0.75, [8, 8, 2], 10), { colour: '#9a9a9e', flags: ['small-part', 'magnet'] }),
  needle(36, 'triangular', 25),
  needle(38, 'triangular', 22),
  needle(38, 'star', 22),
  needle(40, 'triangular', 20),
  needle(42, 'triangular', 18),
  tool('pad', 'Felting pad', 'surface', 'person', { lengthMm: 200, widthMm: 150, note: OURS }),
  tool('holder', 'Needle holder for three', 'holder', 'person', { needles: 3 }),
  tool('guards', 'Finger guards', 'tool', 'person'),
  tool('scissors', 'Scissors', 'tool', 'table', { isSharp: true }),
  tool('scale', 'Scale, to 0.1 g', 'tool', 'room'),
  tool('pliers', 'Pliers with a cutter', 'tool', 'table', { isSharp: true }),
]; // prettier-ignore

export const shelfKind = (id: string): ShelfKind | null => SHELF_KINDS.find((kind) => kind.id === id) ?? null;
