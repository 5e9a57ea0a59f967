-- Copies of a set that are larger or smaller than the pattern, how the first one came to lie, and what was sewn on a machine of one's own.
ALTER TABLE hooping ADD COLUMN sizes TEXT NOT NULL DEFAULT '[]';
ALTER TABLE hooping ADD COLUMN landed TEXT;
ALTER TABLE hooping ADD COLUMN sewn TEXT NOT NULL DEFAULT '[]';
