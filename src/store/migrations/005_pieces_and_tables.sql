-- What a piece is besides its shape: which line the shape is, its grain line, marks, pairs, one-way print.
ALTER TABLE part ADD COLUMN line TEXT NOT NULL DEFAULT 'cut' CHECK (line IN ('cut', 'sew'));
ALTER TABLE part ADD COLUMN grain REAL NOT NULL DEFAULT 0;
ALTER TABLE part ADD COLUMN marks TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(marks));
ALTER TABLE part ADD COLUMN pairs INTEGER NOT NULL DEFAULT 0;
ALTER TABLE part ADD COLUMN one_way INTEGER NOT NULL DEFAULT 0;

-- Width and price of a cloth, where they are known.
ALTER TABLE cloth ADD COLUMN roll_width REAL;
ALTER TABLE cloth ADD COLUMN price_per_metre INTEGER;

-- A cutting table: what is cut from one material for one project, how it is laid, and what was done.
CREATE TABLE cut_table (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  of_kind TEXT NOT NULL CHECK (of_kind IN ('layer', 'cloth')),
  of_id TEXT NOT NULL,
  options TEXT NOT NULL CHECK (json_valid(options)),
  laid TEXT NOT NULL CHECK (json_valid(laid)),
  locked TEXT NOT NULL CHECK (json_valid(locked)),
  fingerprint TEXT NOT NULL,
  part_ids TEXT NOT NULL CHECK (json_valid(part_ids)),
  done TEXT CHECK (done IS NULL OR json_valid(done)),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- One table of a material is open at a time in a project.
CREATE UNIQUE INDEX cut_table_open ON cut_table (project_id, of_kind, of_id) WHERE done IS NULL AND deleted_at IS NULL;

-- Rolls, sheets and leftovers of cloths and layers.
CREATE TABLE stock (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('roll', 'sheet', 'leftover')),
  of_kind TEXT NOT NULL CHECK (of_kind IN ('layer', 'cloth')),
  of_id TEXT NOT NULL,
  width REAL NOT NULL CHECK (width > 0),
  length REAL NOT NULL CHECK (length >= 0),
  count INTEGER NOT NULL DEFAULT 1 CHECK (count >= 0),
  outline TEXT CHECK (outline IS NULL OR json_valid(outline)),
  place TEXT NOT NULL DEFAULT '',
  note TEXT NOT NULL DEFAULT '',
  from_table TEXT REFERENCES cut_table (id),
  used_by TEXT REFERENCES cut_table (id),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX stock_of ON stock (of_kind, of_id) WHERE deleted_at IS NULL AND used_by IS NULL;
