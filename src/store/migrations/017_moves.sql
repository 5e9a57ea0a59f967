-- Moves that tablets made at the bench and in the day's plan, each once: an answer that was lost does not let one count twice.
CREATE TABLE moved (
  id TEXT PRIMARY KEY,
  subject TEXT NOT NULL,
  at TEXT NOT NULL,
  move TEXT NOT NULL
) STRICT;
CREATE INDEX moved_by_subject ON moved (subject, at);
