-- What was learnt and is not to count any more: readings up to a moment, of one pair or one kind of work.
CREATE TABLE forgotten (
  subject TEXT PRIMARY KEY,
  until TEXT NOT NULL
) STRICT;
