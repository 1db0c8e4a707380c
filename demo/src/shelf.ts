import {
  BLANK_FIBRE,
  type FibreInput,
  type LotInput,
  NO_OVERRIDES,
  type Preparation,
} from '@lanakit/core/shelf';

/** A demo fibre: what is said of it, and the lots it lies in. */
export interface DemoFibre {
  readonly input: FibreInput;
  readonly lots: readonly DemoLot[];
}

/** A lot with what came, what went into a sample, and what is left; the rest was packed. */
interface DemoLot {
  readonly input: LotInput;
  readonly receivedG: number;
  readonly sampleG: number;
  readonly onHandG: number;
}

type Row = readonly [
  key: string,
  name: string,
  preparation: Preparation,
  colour: string,
  pricePer100gMinor: number | null,
  lots: readonly LotRow[],
  more?: Partial<FibreInput>,
];

type LotRow = readonly [
  name: string,
  place: string,
  receivedG: number,
  onHandG: number,
  more?: Partial<LotInput>,
];

const tops = (linearGPerM: number, stapleMm: number): Partial<FibreInput> => ({ linearGPerM, stapleMm });

/** An invented studio's shelf. Colour names and numbers are our own. */
const ROWS: readonly Row[] = [
  ['chalk-core', 'Chalk', 'core-batt', '#e6e0d2', 260, [['winter bale', 'bin 1', 1000, 340], ['summer bale', 'bin 1', 500, 280, { note: 'shorter and springier: roll it tighter', overrides: { ...NO_OVERRIDES, stapleMm: 40, arealGPerM2: 330 } }]], { otherNames: ['cream', 'white core'], kind: 'hill cross', arealGPerM2: 360, densityFactor: 1.04 }],
  ['oat-core', 'Oat', 'core-batt', '#cdbfa4', 240, [['bale', 'bin 2', 500, 240]], { otherNames: ['natural core'], arealGPerM2: 340 }],
  ['odds-core', 'Odds and ends', 'core-batt', '#8d8a86', null, [], { smallestPartMm: 8, kind: 'mixed leftovers', note: 'unsorted: for cores that nobody sees' }],
  ['slate', 'Slate', 'carded', '#3c4855', 520, [['spring', 'drawer 5', 150, 96]], { otherNames: ['charcoal blue'], linearGPerM: 14, hidingGPerM2: 72 }],
  ['moss', 'Moss', 'carded', '#6b7d36', 540, [['spring', 'drawer 6', 50, 6], ['autumn', 'drawer 6', 50, 12, { note: 'a shade yellower than the spring lot', overrides: { ...NO_OVERRIDES, colour: '#758238' } }]], { otherNames: ['olive'], linearGPerM: 13 }],
  ['pear', 'Pear', 'carded', '#a9b04a', 540, [['spring', 'drawer 6', 100, 74]], { linearGPerM: 13.5 }],
  ['plum', 'Plum', 'carded', '#5f2f58', 560, [['spring', 'drawer 7', 100, 41]], { otherNames: ['aubergine'], linearGPerM: 14 }],
  ['marigold', 'Marigold', 'carded', '#dd8a1c', 580, [['spring', 'drawer 4', 50, 11]], { otherNames: ['orange'], linearGPerM: 13, flags: ['may-bleed'] }],
  ['coral', 'Coral', 'carded', '#d9694f', 580, [['summer', 'drawer 4', 100, 66]], { linearGPerM: 13 }],
  ['buoy', 'Buoy red', 'carded', '#b3262b', 580, [['summer', 'drawer 4', 75, 52]], { otherNames: ['scarlet'], linearGPerM: 13, flags: ['may-bleed'] }],
  ['shell', 'Shell pink', 'carded', '#e3b7ab', 560, [['summer', 'drawer 4', 50, 37]], {}],
  ['kelp', 'Kelp', 'batt', '#4a5a3a', 490, [['spring', 'drawer 6', 120, 88]], { arealGPerM2: 240 }],
  ['harbour', 'Harbour', 'batt', '#2f5d73', 490, [['spring', 'drawer 5', 200, 120]], { otherNames: ['teal'], arealGPerM2: 250 }],
  ['dusk', 'Dusk', 'batt', '#6d6488', 510, [['autumn', 'drawer 7', 60, 45]], {}],
  ['driftwood', 'Driftwood', 'batt', '#8b7765', 470, [['autumn', 'drawer 8', 150, 105]], { otherNames: ['taupe', 'mushroom'], arealGPerM2: 255 }],
  ['rust', 'Rust', 'batt', '#8a4526', 490, [['autumn', 'drawer 8', 100, 63]], {}],
  ['butter', 'Butter', 'batt', '#ead27e', 510, [['spring', 'drawer 3', 50, 29]], { otherNames: ['pale yellow'] }],
  ['chalk-tops', 'Chalk', 'tops', '#efe9dc', 640, [['spring', 'drawer 2', 100, 58]], { ...tops(24, 75), otherNames: ['cream', 'roving'] }],
  ['soot', 'Soot', 'tops', '#1d1c1e', 640, [['spring', 'drawer 1', 50, 31]], { ...tops(22, 80), otherNames: ['black'] }],
  ['walnut', 'Walnut', 'tops', '#5a3d28', 660, [['autumn', 'drawer 8', 50, 34]], tops(20, 70)],
  ['brine', 'Brine', 'tops', '#8fb4b8', 660, [['summer', 'drawer 5', 75, 48]], tops(22, 85)],
  ['anchor', 'Anchor blue', 'tops', '#25365c', 660, [['summer', 'drawer 5', 60, 40]], { ...tops(23, 80), otherNames: ['navy'] }],
  ['lichen', 'Lichen', 'tops', '#b9c08d', 680, [['summer', 'drawer 6', 40, 22]], tops(20, 75)],
  ['foam', 'Foam', 'tops', '#f6f4ee', 680, [['spring', 'drawer 2', 50, 26, { note: 'short staple, hold hands close', overrides: { ...NO_OVERRIDES, stapleMm: 55 } }]], tops(21, 80)],
  ['pebble', 'Pebble', 'tops', '#9a9691', 620, [], { otherNames: ['grey'] }],
  ['glint', 'Glint', 'tops', '#d8dfe0', 1180, [['summer', 'drawer 9', 30, 24]], { ...tops(25, 90), kind: 'bamboo', otherNames: ['sparkle', 'shine'], flags: ['plant'], feltsAlone: false, note: 'does not hold by itself: blend it in' }],
  ['curl', 'Spindrift', 'locks', '#e9e4d6', 1450, [['shearing', 'drawer 9', 60, 44]], { kind: 'longwool, washed', otherNames: ['curls'], stapleMm: 140, flags: ['lanolin'] }],
  ['sail', 'Sailcloth', 'pre-felt', '#e8e2d0', 900, [['sheets', 'shelf by the door', 120, 96]], { arealGPerM2: 180, sheetLengthMm: 500, sheetWidthMm: 400 }],
]; // prettier-ignore

const lotInput = ([name, place, , , more]: LotRow, day: string): LotInput => ({
  name,
  note: '',
  place,
  receivedOn: day,
  pricePer100gMinor: null,
  overrides: NO_OVERRIDES,
  ...more,
});

/** A tenth of what came went into trying it out. */
const SAMPLE_SHARE = 0.1;

/** @param receivedOn the day the demo's wool came, YYYY-MM-DD */
export const demoFibres = (receivedOn: string): ReadonlyMap<string, DemoFibre> =>
  new Map(
    ROWS.map(([key, name, preparation, colour, pricePer100gMinor, lots, more]) => [
      key,
      {
        input: { ...BLANK_FIBRE, name, preparation, colour, pricePer100gMinor, ...more },
        lots: lots.map((row) => {
          const [, , receivedG, onHandG] = row;
          const sampleG = Math.round(Math.min(receivedG * SAMPLE_SHARE, receivedG - onHandG));
          return { input: lotInput(row, receivedOn), receivedG, sampleG, onHandG };
        }),
      },
    ]),
  );

type Parts = readonly (readonly [key: string, parts: number])[];

/** Blends by key, those made of others after them. */
export const DEMO_BLENDS: readonly (readonly [key: string, name: string, parts: Parts, note: string])[] = [
  ['tide-pool', 'Tide pool', [['plum', 5], ['dusk', 2], ['brine', 1]], 'card twice, the second time across'],
  ['rockweed', 'Rockweed', [['kelp', 4], ['moss', 3], ['walnut', 1]], ''],
  ['wet-tide-pool', 'Tide pool, wet', [['tide-pool', 7], ['glint', 1]], 'for the mantle’s crown: a little shine'],
]; // prettier-ignore
