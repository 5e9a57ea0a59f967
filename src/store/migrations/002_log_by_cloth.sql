-- What was filed about one cloth is looked up with every question about it.
CREATE INDEX log_entry_cloth ON log_entry (cloth_id) WHERE deleted_at IS NULL;
