/** Who sits in a class, and what each has chosen: one document for each, by seat. */
export const roster = `
ALTER TABLE run ADD COLUMN roster TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(roster) AND json_type(roster) = 'array');
`;
