-- A scrap on which a pair of cloth and stack is tried, its readings, and the wash that is due.
CREATE TABLE scrap (
  id TEXT PRIMARY KEY,
  part_id TEXT NOT NULL REFERENCES part (id),
  cloth_id TEXT NOT NULL,
  cloth_name TEXT NOT NULL,
  stack_title TEXT NOT NULL,
  layer_ids TEXT NOT NULL CHECK (json_valid(layer_ids)),
  predicted TEXT NOT NULL CHECK (json_valid(predicted)),
  plan TEXT NOT NULL CHECK (json_valid(plan)),
  readings TEXT NOT NULL CHECK (json_valid(readings)),
  chosen TEXT,
  filed_on TEXT,
  wash_due TEXT,
  wash TEXT CHECK (wash IS NULL OR json_valid(wash)),
  version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX scrap_part ON scrap (part_id) WHERE deleted_at IS NULL;
CREATE INDEX scrap_due ON scrap (wash_due) WHERE wash_due IS NOT NULL AND wash IS NULL AND deleted_at IS NULL;

-- A bench run may lead through a scrap instead of the part itself.
ALTER TABLE bench_run ADD COLUMN scrap_id TEXT REFERENCES scrap (id);
