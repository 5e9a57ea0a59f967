-- Water that a cloth was found to take up when it is wet through, % of its own mass.
ALTER TABLE cloth ADD COLUMN uptake REAL;
