-- Rows that people edit carry a version; deleting sets deleted_at so that it can be undone.

CREATE TABLE cloth (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('library', 'own')),
  construction TEXT NOT NULL,
  weave TEXT,
  fibres TEXT NOT NULL CHECK (json_valid(fibres)),
  areal_density REAL NOT NULL CHECK (areal_density > 0),
  thickness REAL,
  stretch_length REAL NOT NULL,
  stretch_cross REAL NOT NULL,
  iron_dots INTEGER NOT NULL CHECK (iron_dots BETWEEN 0 AND 3),
  water TEXT NOT NULL,
  sheer TEXT NOT NULL,
  tone TEXT NOT NULL,
  surface TEXT NOT NULL CHECK (json_valid(surface)),
  fray TEXT NOT NULL,
  overhang REAL,
  prewashed INTEGER,
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE layer (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('library', 'own')),
  family TEXT NOT NULL,
  form TEXT NOT NULL,
  areal_density REAL NOT NULL CHECK (areal_density >= 0),
  thickness REAL NOT NULL,
  bending_length REAL NOT NULL,
  membrane_stiffness REAL NOT NULL,
  stretch_length REAL NOT NULL,
  stretch_cross REAL NOT NULL,
  tones TEXT NOT NULL CHECK (json_valid(tones)),
  opacity TEXT NOT NULL,
  roll_width REAL NOT NULL,
  leaflet TEXT NOT NULL CHECK (json_valid(leaflet)),
  glue TEXT NOT NULL,
  wash TEXT NOT NULL,
  dry_clean INTEGER NOT NULL,
  pre_shrink INTEGER NOT NULL,
  grain INTEGER NOT NULL,
  ends TEXT NOT NULL,
  stiffening REAL NOT NULL DEFAULT 1,
  price_per_metre INTEGER NOT NULL,
  in_stock INTEGER NOT NULL DEFAULT 0,
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX layer_family ON layer (family) WHERE deleted_at IS NULL;

CREATE TABLE project (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE part (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  name TEXT NOT NULL,
  cloth_id TEXT REFERENCES cloth (id),
  wish TEXT NOT NULL CHECK (json_valid(wish)),
  shape TEXT NOT NULL CHECK (json_valid(shape)),
  allowances TEXT NOT NULL CHECK (json_valid(allowances)),
  fold INTEGER,
  count INTEGER NOT NULL CHECK (count BETWEEN 1 AND 1000),
  stack TEXT CHECK (stack IS NULL OR json_valid(stack)),
  glue_up INTEGER NOT NULL DEFAULT 1,
  cut_done INTEGER NOT NULL DEFAULT 0,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX part_project ON part (project_id) WHERE deleted_at IS NULL;

CREATE TABLE bench_run (
  id TEXT PRIMARY KEY,
  part_id TEXT NOT NULL REFERENCES part (id),
  plan TEXT NOT NULL CHECK (json_valid(plan)),
  state TEXT NOT NULL CHECK (json_valid(state)),
  finished_at TEXT,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX bench_run_part ON bench_run (part_id);

CREATE TABLE log_entry (
  id TEXT PRIMARY KEY,
  part_id TEXT REFERENCES part (id),
  bench_run_id TEXT REFERENCES bench_run (id),
  kind TEXT NOT NULL CHECK (kind IN ('piece', 'scrap')),
  done_on TEXT NOT NULL,
  title TEXT NOT NULL,
  cloth_id TEXT,
  cloth_name TEXT NOT NULL,
  stack_title TEXT NOT NULL,
  layer_ids TEXT NOT NULL CHECK (json_valid(layer_ids)),
  settings TEXT NOT NULL CHECK (json_valid(settings)),
  checks TEXT NOT NULL CHECK (json_valid(checks)),
  outcome TEXT NOT NULL CHECK (outcome IN ('good', 'fair', 'poor')),
  predicted_bending_length REAL,
  predicted_low REAL,
  predicted_high REAL,
  overhang REAL,
  measured_bending_length REAL,
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX log_entry_part ON log_entry (part_id);
CREATE INDEX log_entry_done ON log_entry (done_on DESC);

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (json_valid(value)),
  version INTEGER NOT NULL DEFAULT 1,
  updated_at TEXT NOT NULL
) STRICT;

-- Library entries that were once put in, so that a deleted one does not come back.
CREATE TABLE seeded (
  id TEXT PRIMARY KEY
) STRICT;
