/** How sure a class wants to be that nobody is short; none: it is packed by a plain percentage. */
export const chance = `
ALTER TABLE run ADD COLUMN wanted_chance REAL CHECK (wanted_chance > 0 AND wanted_chance < 1);
`;
