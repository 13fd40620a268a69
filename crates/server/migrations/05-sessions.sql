-- Version 5: who has unlocked the workshop, so that a restart locks nobody out. Only hashes of the tokens; when each was
-- last used, in seconds since 1970.
CREATE TABLE sessions (
    token BLOB PRIMARY KEY,
    seen_at INTEGER NOT NULL
) WITHOUT ROWID;
