-- Version 14: how the rings of makers' own weaves lie, once that was worked out: it takes seconds, and no reading waits for
-- it. What is lost here is worked out again; the key says what it is of.
CREATE TABLE ladders (
    key TEXT PRIMARY KEY,
    ladder TEXT NOT NULL
) WITHOUT ROWID;
