import {
  BLANK_FINDING,
  blankMeasure,
  type FindingFlag,
  type FindingInput,
  type FindingMeasure,
} from '@lanakit/core/shelf';

type Counted = Extract<FindingMeasure, { by: 'count' }>;
type ByLength = Extract<FindingMeasure, { by: 'length' }>;
type ByArea = Extract<FindingMeasure, { by: 'area' }>;
type ByVolume = Extract<FindingMeasure, { by: 'volume' }>;

/** By the piece: how heavy, its outer size in mm (length × width × height), and how many to a pack. */
const counted = (
  sort: Counted['sort'],
  massG: number | null,
  [length, width, height]: readonly [number, number, number],
  piecesPerPack: number,
  more: Partial<Counted> = {},
): Counted => ({
  ...(blankMeasure('count') as Counted),
  sort,
  massG,
  outerMm: { length, width, height },
  piecesPerPack,
  ...more,
});

const byLength = (
  sort: ByLength['sort'],
  diameterMm: number,
  linearGPerM: number | null,
  metresPerPack: number,
): ByLength => ({
  by: 'length',
  sort,
  diameterMm,
  linearGPerM,
  metresPerPack,
});

const byArea = (sort: ByArea['sort'], thicknessMm: number, arealGPerM2: number | null, sheet: readonly [number, number], nap: ByArea['nap'] = 'none'): ByArea => ({
  by: 'area',
  sort,
  thicknessMm,
  arealGPerM2,
  nap,
  sheetLengthMm: sheet[0],
  sheetWidthMm: sheet[1],
}); // prettier-ignore

const byVolume = (sort: ByVolume['sort'], activeMinutes: number, settingMinutes: number, millilitresPerPack: number): ByVolume => ({
  by: 'volume',
  sort,
  activeMinutes,
  settingMinutes,
  millilitresPerPack,
}); // prettier-ignore

type Row = readonly [
  name: string,
  measure: FindingMeasure,
  onHand: number | null,
  priceMinor: number | null,
  place: string,
  flags?: readonly FindingFlag[],
  more?: Partial<FindingInput>,
];

const ROWS: readonly Row[] = [
  ['Bead eye 3 mm, black', counted('eye', 0.03, [3, 3, 3], 100), 86, 240, 'tin 1', ['small-part', 'glass'], { colour: '#17171a' }],
  ['Bead eye 4 mm, black', counted('eye', 0.07, [4, 4, 4], 100), 140, 260, 'tin 1', ['small-part', 'glass'], { colour: '#17171a' }],
  ['Glass eye 5 mm, amber', counted('eye', 0.21, [5, 5, 4], 10, { postMm: 11 }), 14, 520, 'tin 1', ['small-part', 'glass', 'sharp'], { colour: '#b8741a', note: 'on a wire loop: turn the ends back' }],
  ['Seed bead, pearl', counted('bead', 0.012, [2, 2, 1.6], 250, { innerMm: 0.8 }), 610, 190, 'tin 2', ['small-part', 'glass'], { colour: '#e9e4da' }],
  ['Wooden bead 12 mm', counted('bead', 0.6, [12, 12, 11], 25, { innerMm: 3 }), 31, 310, 'tin 2', ['small-part']],
  ['Bell 10 mm, brass', counted('bell', 0.9, [10, 10, 12], 20), 22, 380, 'tin 2', ['small-part']],
  ['Pin back 25 mm', counted('pin-back', 1.3, [25, 5, 4], 20), 17, 340, 'tin 3', ['sharp']],
  ['Disc magnet 8 mm', counted('magnet', 0.75, [8, 8, 2], 10), 12, 290, 'tin 3', ['small-part', 'magnet']],
  ['Limpet shell', counted('found', 4.2, [34, 28, 14], 1, { innerMm: 23, innerHighMm: 26, sizeVaries: true }), 9, null, 'basket', [], { note: 'picked up on the strand: measure each' }],
  ['Driftwood slice', counted('found', 18, [70, 50, 9], 1, { sizeVaries: true }), 6, null, 'basket'],
  ['Kit box 140 × 100 mm', counted('other', 38, [140, 100, 50], 25), 32, 1450, 'loft'],
  ['Kit box 90 × 90 mm', counted('other', 21, [90, 90, 40], 25), 40, 990, 'loft'],
  ['Tissue sheet', counted('other', 3, [350, 250, 0.1], 100), 180, 520, 'loft'],
  ['Wire 1.2 mm, annealed', byLength('wire', 1.2, 8.9, 25), 18.4, 620, 'hook 1', ['sharp']],
  ['Wire 0.6 mm, black', byLength('wire', 0.6, 2.2, 10), 6.8, 340, 'hook 1', ['sharp'], { colour: '#222226' }],
  ['Fuzzy stem 6 mm, orange', byLength('stem', 6, 5.3, 0.3), 5.1, 25, 'jar 1', ['sharp'], { otherNames: ['chenille stem'], colour: '#dd8a1c' }],
  ['Ribbon 6 mm, tide blue', byLength('ribbon', 6, 1.4, 20), 12.5, 410, 'hook 2', [], { colour: '#2f5d73' }],
  ['Waxed cord 1 mm', byLength('cord', 1, 1.1, 25), 19, 380, 'hook 2', [], { colour: '#8b7765' }],
  ['Whisker thread', byLength('thread', 0.3, 0.08, 50), 44, 210, 'hook 2', [], { colour: '#1d1c1e' }],
  ['Backing sheet 1.2 mm, navy', byArea('sheet', 1.2, 260, [300, 450]), 4050, 480, 'shelf by the door', [], { colour: '#25365c' }],
  ['Basket linen', byArea('fabric', 0.5, 190, [500, 700], 'along-length'), 2600, 760, 'shelf by the door', [], { colour: '#cdbfa4' }],
  ['Craft glue, clear', byVolume('glue', 10, 120, 100), 160, 430, 'box G'],
  ['Contact glue', byVolume('glue', 5, 1440, 50), 35, 690, 'box G', ['solvent'], { note: 'by the open window only' }],
  ['Glue sticks for the gun', byVolume('glue', 1, 5, 200), null, 520, 'box G', ['hot']],
  ['Felt stiffener', byVolume('stiffener', 15, 240, 250), 190, 640, 'box G'],
]; // prettier-ignore

/** Demo findings with what is there of each, in its unit. */
export const DEMO_FINDINGS = ROWS.map(
  ([name, measure, onHand, priceMinor, place, flags = [], more = {}]) => ({
    input: {
      ...BLANK_FINDING,
      name,
      measure,
      priceMinor,
      place,
      flags: [...flags],
      ...more,
    } satisfies FindingInput,
    onHand,
  }),
);
