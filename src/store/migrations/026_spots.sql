-- Holes and stains of a leftover on which nothing may be cut, where its outline lies, mm.
ALTER TABLE stock ADD COLUMN spots TEXT NOT NULL DEFAULT '[]';
