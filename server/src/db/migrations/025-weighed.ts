/** With each tick what the scale showed, of which lot, on which scale and from which device; of those before nobody knows. */
export const weighed = `
ALTER TABLE run_tick ADD COLUMN weighed_mg INTEGER;
ALTER TABLE run_tick ADD COLUMN lot_id TEXT;
ALTER TABLE run_tick ADD COLUMN scale TEXT;
ALTER TABLE run_tick ADD COLUMN device TEXT;
`;
