-- The cloth that hung, where one is known: each cloth dries by its own times, else by the house's.
ALTER TABLE timing ADD COLUMN cloth_id TEXT;
CREATE INDEX timing_by_cloth ON timing (cloth_id, done_at) WHERE cloth_id IS NOT NULL;
