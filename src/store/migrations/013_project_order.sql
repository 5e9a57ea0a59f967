-- Projects stand in the order that they were put into; one that was never moved stands before them, last touched first.
ALTER TABLE project ADD COLUMN place REAL NOT NULL DEFAULT 0;
DROP INDEX project_by_touch;
CREATE INDEX project_by_place ON project (archived, place, updated_at DESC) WHERE deleted_at IS NULL;
