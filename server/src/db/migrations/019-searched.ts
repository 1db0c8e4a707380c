/** What is newer than what the search knows of it is seen without reading a document. */
export const searched = `
CREATE INDEX pattern_by_version ON pattern (id, version) WHERE deleted_at IS NULL;
CREATE INDEX run_by_version ON run (id, version) WHERE deleted_at IS NULL;
CREATE INDEX item_by_version ON item (id, version) WHERE deleted_at IS NULL;
CREATE INDEX lot_by_version ON lot (id, version) WHERE deleted_at IS NULL;
`;
