-- A pattern piece is cut from one or several cloths, and each cut has any number of jobs. What was one part becomes one of each,
-- under the same id, so that everything that points to it still finds it. References are checked when this is done.

ALTER TABLE project ADD COLUMN makes INTEGER NOT NULL DEFAULT 1 CHECK (makes BETWEEN 1 AND 1000);
ALTER TABLE project ADD COLUMN variant TEXT NOT NULL DEFAULT '';
ALTER TABLE project ADD COLUMN care TEXT;
ALTER TABLE project ADD COLUMN notions TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(notions));
ALTER TABLE project ADD COLUMN archived INTEGER NOT NULL DEFAULT 0;

CREATE TABLE piece (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project (id),
  name TEXT NOT NULL,
  shape TEXT NOT NULL CHECK (json_valid(shape)),
  line TEXT NOT NULL CHECK (line IN ('cut', 'sew')),
  allowances TEXT NOT NULL CHECK (json_valid(allowances)),
  fold INTEGER,
  grain REAL NOT NULL DEFAULT 0,
  marks TEXT NOT NULL CHECK (json_valid(marks)),
  -- Where it stands among the pieces of its project.
  position REAL NOT NULL DEFAULT 0,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE cut (
  id TEXT PRIMARY KEY,
  piece_id TEXT NOT NULL REFERENCES piece (id),
  duty TEXT NOT NULL CHECK (duty IN ('shell', 'lining', 'underlining', 'soft-interlining', 'base', 'pocketing')),
  cloth_id TEXT REFERENCES cloth (id),
  count INTEGER NOT NULL CHECK (count BETWEEN 1 AND 1000),
  pairs INTEGER NOT NULL DEFAULT 0,
  one_way INTEGER NOT NULL DEFAULT 0,
  own TEXT CHECK (own IS NULL OR json_valid(own)),
  orientation TEXT NOT NULL CHECK (orientation IN ('straight', 'cross', 'bias')),
  done INTEGER NOT NULL DEFAULT 0,
  position REAL NOT NULL DEFAULT 0,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

INSERT INTO piece (id, project_id, name, shape, line, allowances, fold, grain, marks, position, version, created_at, updated_at, deleted_at)
  SELECT id, project_id, name, shape, line, allowances, fold, grain, marks,
         row_number() OVER (PARTITION BY project_id ORDER BY created_at, rowid), version, created_at, updated_at, deleted_at
    FROM part;

INSERT INTO cut (id, piece_id, duty, cloth_id, count, pairs, one_way, own, orientation, done, version, created_at, updated_at, deleted_at)
  SELECT id, id, 'shell', cloth_id, count, pairs, one_way, NULL, coalesce(json_extract(wish, '$.cut'), 'straight'), cut_done, version, created_at, updated_at, deleted_at
    FROM part;

-- The table is renamed first and last, so that what points to a part comes to point to its job.
ALTER TABLE part RENAME TO job_before;
CREATE TABLE job_after (
  id TEXT PRIMARY KEY,
  cut_id TEXT NOT NULL REFERENCES cut (id),
  name TEXT NOT NULL DEFAULT '',
  place TEXT NOT NULL CHECK (json_valid(place)),
  wish TEXT NOT NULL CHECK (json_valid(wish)),
  stack TEXT CHECK (stack IS NULL OR json_valid(stack)),
  glue_up INTEGER NOT NULL DEFAULT 1,
  cut_done INTEGER NOT NULL DEFAULT 0,
  position REAL NOT NULL DEFAULT 0,
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
INSERT INTO job_after (id, cut_id, name, place, wish, stack, glue_up, cut_done, version, created_at, updated_at, deleted_at)
  SELECT id, id, '', '{"kind":"usual"}', json_remove(wish, '$.cut'), stack, glue_up, cut_done, version, created_at, updated_at, deleted_at
    FROM job_before;
DROP TABLE job_before;
ALTER TABLE job_after RENAME TO job_before;
ALTER TABLE job_before RENAME TO job;

CREATE INDEX piece_project ON piece (project_id) WHERE deleted_at IS NULL;
CREATE INDEX cut_piece ON cut (piece_id) WHERE deleted_at IS NULL;
CREATE INDEX cut_waiting ON cut (piece_id) WHERE deleted_at IS NULL AND done = 0;
CREATE INDEX job_cut ON job (cut_id) WHERE deleted_at IS NULL;
CREATE INDEX job_waiting ON job (cut_id) WHERE deleted_at IS NULL AND cut_done = 0;

ALTER TABLE scrap RENAME COLUMN part_id TO job_id;
ALTER TABLE bench_run RENAME COLUMN part_id TO job_id;
ALTER TABLE log_entry RENAME COLUMN part_id TO job_id;
ALTER TABLE hooping RENAME COLUMN part_id TO job_id;
ALTER TABLE cut_table RENAME COLUMN part_ids TO work_ids;
UPDATE cut_table SET done = json_remove(json_set(done, '$.workIds', json_extract(done, '$.partIds')), '$.partIds') WHERE done IS NOT NULL;
UPDATE bench_run SET plan = json_remove(json_set(plan, '$.pieceName', json_extract(plan, '$.partName')), '$.partName');
