-- What is made from edges of a piece follows that piece: which piece, which edges; and what could not follow when it last changed, in words.
ALTER TABLE recipe ADD COLUMN source TEXT;
ALTER TABLE recipe ADD COLUMN told TEXT NOT NULL DEFAULT '[]';
