/** What the review had open when a revision was published, as JSON; null of those published before it was kept. */
export const reviewed = `
ALTER TABLE revision ADD COLUMN open_remarks TEXT;
`;
