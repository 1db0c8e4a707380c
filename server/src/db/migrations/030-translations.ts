/**
 * Texts of a pattern in other languages, beside it. They go with it into the bin and out of it. Nothing that is worked out of patterns
 * reads them, so that a word that is written throws none of it away.
 */
export const translations = `
CREATE TABLE translation (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1,
  pattern_id TEXT NOT NULL REFERENCES pattern (id) ON DELETE CASCADE,
  language TEXT NOT NULL,
  document TEXT NOT NULL,
  document_seal INTEGER,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX translation_of ON translation (pattern_id, language);
`;
