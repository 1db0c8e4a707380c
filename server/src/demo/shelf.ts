import type { FibreInput, Preparation } from '@lanakit/core';

type Row = readonly [
  key: string,
  name: string,
  preparation: Preparation,
  colour: string,
  onHandG: number | null,
  pricePer100gMinor: number | null,
  linearGPerM?: number,
  stapleMm?: number,
];

/** An invented studio's shelf. Colour names and numbers are our own. */
const ROWS: readonly Row[] = [
  ['chalk-core', 'Chalk', 'core-batt', '#e6e0d2', 620, 260],
  ['oat-core', 'Oat', 'core-batt', '#cdbfa4', 240, 240],
  ['odds-core', 'Odds and ends', 'core-batt', '#8d8a86', null, null],
  ['slate', 'Slate', 'carded', '#3c4855', 96, 520],
  ['moss', 'Moss', 'carded', '#6b7d36', 18, 540],
  ['pear', 'Pear', 'carded', '#a9b04a', 74, 540],
  ['plum', 'Plum', 'carded', '#5f2f58', 41, 560],
  ['marigold', 'Marigold', 'carded', '#dd8a1c', 11, 580],
  ['coral', 'Coral', 'carded', '#d9694f', 66, 580],
  ['buoy', 'Buoy red', 'carded', '#b3262b', 52, 580],
  ['shell', 'Shell pink', 'carded', '#e3b7ab', 37, 560],
  ['kelp', 'Kelp', 'batt', '#4a5a3a', 88, 490],
  ['harbour', 'Harbour', 'batt', '#2f5d73', 120, 490],
  ['dusk', 'Dusk', 'batt', '#6d6488', 45, 510],
  ['driftwood', 'Driftwood', 'batt', '#8b7765', 105, 470],
  ['rust', 'Rust', 'batt', '#8a4526', 63, 490],
  ['butter', 'Butter', 'batt', '#ead27e', 29, 510],
  ['chalk-tops', 'Chalk', 'tops', '#efe9dc', 58, 640, 24, 75],
  ['soot', 'Soot', 'tops', '#1d1c1e', 31, 640, 22, 80],
  ['walnut', 'Walnut', 'tops', '#5a3d28', 34, 660, 20, 70],
  ['brine', 'Brine', 'tops', '#8fb4b8', 48, 660, 22, 85],
  ['anchor', 'Anchor blue', 'tops', '#25365c', 40, 660, 23, 80],
  ['lichen', 'Lichen', 'tops', '#b9c08d', 22, 680, 20, 75],
  ['foam', 'Foam', 'tops', '#f6f4ee', 26, 680, 21, 80],
  ['pebble', 'Pebble', 'tops', '#9a9691', null, 620],
];

/** Demo fibres by the key that the demo patterns use. */
export const DEMO_FIBRES: ReadonlyMap<string, FibreInput> = new Map(
  ROWS.map(([key, name, preparation, colour, onHandG, pricePer100gMinor, linearGPerM, stapleMm]) => [
    key,
    {
      name,
      preparation,
      colour,
      linearGPerM: linearGPerM ?? null,
      stapleMm: stapleMm ?? null,
      pricePer100gMinor,
      onHandG,
      archived: false,
    },
  ]),
);
