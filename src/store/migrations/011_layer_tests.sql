-- Home tests of a layer with their readings, and what it is made of.
ALTER TABLE layer ADD COLUMN tests TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(tests));
ALTER TABLE layer ADD COLUMN fibres TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(fibres));
