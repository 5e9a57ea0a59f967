-- Hoops of the person's own. mm.
CREATE TABLE hoop (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  shape TEXT NOT NULL CHECK (shape IN ('rectangle', 'oval')),
  field_width REAL NOT NULL CHECK (field_width > 0),
  field_height REAL NOT NULL CHECK (field_height > 0),
  outer_width REAL NOT NULL CHECK (outer_width > 0),
  outer_height REAL NOT NULL CHECK (outer_height > 0),
  clamp REAL NOT NULL CHECK (clamp > 0),
  kind TEXT NOT NULL CHECK (kind IN ('screw', 'magnetic')),
  mount TEXT NOT NULL CHECK (mount IN ('arm', 'bar')),
  mount_side TEXT NOT NULL CHECK (mount_side IN ('left', 'right', 'top', 'bottom')),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- Motifs: what was counted of them; the stitches themselves lie in a table of their own, so that lists stay light.
CREATE TABLE motif (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  colours TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(colours)),
  figures TEXT NOT NULL CHECK (json_valid(figures)),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE motif_stitches (
  motif_id TEXT PRIMARY KEY REFERENCES motif (id),
  records INTEGER NOT NULL,
  packed BLOB NOT NULL
) STRICT;

-- A motif on a cloth: where, in which hoop, on what, how it went.
CREATE TABLE hooping (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  project_id TEXT REFERENCES project (id),
  part_id TEXT REFERENCES part (id),
  motif_id TEXT NOT NULL REFERENCES motif (id),
  cloth_id TEXT NOT NULL REFERENCES cloth (id),
  hoop_id TEXT REFERENCES hoop (id),
  role TEXT NOT NULL DEFAULT 'embroidery' CHECK (role IN ('embroidery', 'badge', 'applique', 'quilt-piece', 'free-stitching')),
  ground TEXT NOT NULL CHECK (json_valid(ground)),
  stack TEXT CHECK (stack IS NULL OR json_valid(stack)),
  floats INTEGER NOT NULL DEFAULT 0,
  place TEXT NOT NULL CHECK (json_valid(place)),
  hoop_place TEXT CHECK (hoop_place IS NULL OR json_valid(hoop_place)),
  count INTEGER NOT NULL DEFAULT 1 CHECK (count > 0),
  pairs INTEGER NOT NULL DEFAULT 0,
  prepared TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(prepared)),
  run TEXT CHECK (run IS NULL OR json_valid(run)),
  result TEXT CHECK (result IS NULL OR json_valid(result)),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX hooping_of_part ON hooping (part_id) WHERE deleted_at IS NULL;

-- A motif that was sewn: its pull against what the model says the pair carries, and whether it held.
ALTER TABLE log_entry ADD COLUMN stitched TEXT CHECK (stitched IS NULL OR json_valid(stitched));
