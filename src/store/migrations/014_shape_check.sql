-- How much a piece shrank along, across and on the bias when its layers were put on, read against its pattern, per cent.
ALTER TABLE log_entry ADD COLUMN shape TEXT CHECK (shape IS NULL OR json_valid(shape));
