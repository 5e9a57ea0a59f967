-- Home tests of a cloth: their readings, and what only a test can tell.
ALTER TABLE cloth ADD COLUMN bias_give REAL;
ALTER TABLE cloth ADD COLUMN shrink_length REAL;
ALTER TABLE cloth ADD COLUMN shrink_cross REAL;
ALTER TABLE cloth ADD COLUMN tests TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(tests));
