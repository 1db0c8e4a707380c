/** A colour to begin with: its name, sRGB. Invented, as a studio would call them. */
export interface StartColour {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
}

const ROWS = [
  ['Chalk', '#efe9dc'],
  ['Oat', '#cdbfa4'],
  ['Sand', '#d8b98a'],
  ['Butter', '#ead27e'],
  ['Marigold', '#dd8a1c'],
  ['Rust', '#a3542c'],
  ['Coral', '#d9694f'],
  ['Red', '#b3262b'],
  ['Shell pink', '#e3b7ab'],
  ['Berry', '#93345a'],
  ['Plum', '#5f2f58'],
  ['Lavender', '#9a8cb8'],
  ['Navy', '#25365c'],
  ['Sea', '#3b6f8c'],
  ['Sky', '#8fb8cc'],
  ['Teal', '#2f6d6d'],
  ['Mint', '#a9cbb0'],
  ['Leaf', '#6b7d36'],
  ['Pine', '#33503c'],
  ['Fawn', '#a88a6a'],
  ['Walnut', '#5a3d28'],
  ['Pebble', '#9a9691'],
  ['Slate', '#3c4855'],
  ['Soot', '#1d1c1e'],
] as const;

export const START_COLOURS: readonly StartColour[] = ROWS.map(([name, colour]) => ({
  id: name.toLowerCase().replaceAll(' ', '-'),
  name,
  colour,
}));

export const startColour = (id: string): StartColour | null =>
  START_COLOURS.find((colour) => colour.id === id) ?? null;
