-- Lists are searched, sorted and cut in SQL: what they ask for has an index.
CREATE INDEX layer_by_name ON layer (name COLLATE NOCASE, id) WHERE deleted_at IS NULL;
CREATE INDEX log_by_day ON log_entry (done_on DESC, created_at DESC, id) WHERE deleted_at IS NULL;
CREATE INDEX log_measured ON log_entry (done_on) WHERE deleted_at IS NULL AND measured_bending_length IS NOT NULL;
CREATE INDEX part_waiting ON part (project_id) WHERE deleted_at IS NULL AND cut_done = 0;
CREATE INDEX project_by_touch ON project (updated_at DESC) WHERE deleted_at IS NULL;
