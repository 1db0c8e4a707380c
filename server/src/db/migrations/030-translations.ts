/** Texts of a pattern in other languages, beside it. They go with it into the bin and out of it. */
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
${['INSERT', 'UPDATE', 'DELETE']
  .map(
    (change) => `
CREATE TRIGGER translation_${change.toLowerCase()}_is_counted AFTER ${change} ON translation
BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = 'patterns'; END;`,
  )
  .join('\n')}
`;
