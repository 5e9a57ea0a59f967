-- Which edges of which cut are sewn to which edges of which other.
CREATE TABLE seam (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  first_cut TEXT NOT NULL REFERENCES cut (id),
  first_edges TEXT NOT NULL CHECK (json_valid(first_edges)),
  second_cut TEXT NOT NULL REFERENCES cut (id),
  second_edges TEXT NOT NULL CHECK (json_valid(second_edges)),
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX seam_project ON seam (project_id) WHERE deleted_at IS NULL;
