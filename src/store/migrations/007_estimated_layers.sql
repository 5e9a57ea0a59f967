-- Figures of a layer that were not measured and follow its family's law, as a JSON list of names.
ALTER TABLE layer ADD COLUMN estimated TEXT NOT NULL DEFAULT '[]';
