-- When a row was written last, taken out or back included: what search has not seen yet is found without looking at everything.
CREATE INDEX cloth_written ON cloth (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX layer_written ON layer (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX project_written ON project (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX piece_written ON piece (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX cut_written ON cut (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX job_written ON job (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX motif_written ON motif (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX hooping_written ON hooping (max(updated_at, coalesce(deleted_at, '')));
CREATE INDEX log_entry_written ON log_entry (max(updated_at, coalesce(deleted_at, '')));
