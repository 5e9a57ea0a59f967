-- What was found to be the cause where something went wrong.
ALTER TABLE log_entry ADD COLUMN causes TEXT NOT NULL DEFAULT '[]';
