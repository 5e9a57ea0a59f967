-- How long steps of finished runs took against what was reckoned, seconds: a person's own pace.
CREATE TABLE timing (
  id TEXT PRIMARY KEY,
  bench_run_id TEXT NOT NULL,
  pace TEXT NOT NULL,
  expected REAL NOT NULL,
  actual REAL NOT NULL,
  done_at TEXT NOT NULL
) STRICT;
CREATE INDEX timing_by_pace ON timing (pace, done_at);
CREATE INDEX timing_by_run ON timing (bench_run_id);
