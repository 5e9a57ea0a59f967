-- A recipe that pieces of a project were made by stays with them: its measures can be changed, and the pieces follow.
CREATE TABLE recipe (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  kind TEXT NOT NULL,
  measures TEXT NOT NULL,
  -- Ids of the pieces, in the order in which the recipe makes them; null for one that was deleted.
  pieces TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX recipe_project ON recipe (project_id) WHERE deleted_at IS NULL;
