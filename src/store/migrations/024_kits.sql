-- The bag of one thing of a project: what of it is packed, missing or taken out, and where the bag lies.
CREATE TABLE kit (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  -- Which of the things that are made, from 1.
  copy INTEGER NOT NULL,
  -- By the key of each item.
  states TEXT NOT NULL,
  place TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE UNIQUE INDEX kit_of_project ON kit (project_id, copy);
