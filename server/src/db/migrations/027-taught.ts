/** What happens in a class, act by act: only ever added to. Pictures of it are kept by the class they are of. */
export const taught = `
CREATE TABLE class_event (
  id INTEGER PRIMARY KEY,
  event_key TEXT NOT NULL UNIQUE,
  run_id TEXT NOT NULL REFERENCES run (id),
  at TEXT NOT NULL,
  seen INTEGER NOT NULL,
  device TEXT NOT NULL,
  what TEXT NOT NULL,
  came_at TEXT NOT NULL
);
CREATE INDEX class_event_by_run ON class_event (run_id, id);
CREATE TRIGGER class_event_stays BEFORE UPDATE ON class_event
BEGIN SELECT RAISE(ABORT, 'what happened in a class is not changed'); END;
`;
