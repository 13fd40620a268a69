-- What a workshop keeps: plans, rods, blades, each on its shelf. Whole records as JSON, so that what is exported, imported
-- and stored is one and the same; the columns beside it are what lists search and sort by.
CREATE TABLE entries (
    id INTEGER PRIMARY KEY,
    shelf TEXT NOT NULL,
    name TEXT NOT NULL,
    record TEXT NOT NULL,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL
);
CREATE INDEX entries_by_update ON entries (shelf, archived, updated_at DESC, id DESC);

CREATE TABLE settings (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    record TEXT NOT NULL,
    revision INTEGER NOT NULL
);

-- Every write, with what stood there before, so that it can be undone. Writes made together share a
-- batch and are undone together.
CREATE TABLE changes (
    id INTEGER PRIMARY KEY,
    batch INTEGER NOT NULL,
    entry INTEGER NOT NULL REFERENCES entries (id),
    before TEXT,
    revision INTEGER NOT NULL,
    made_at TEXT NOT NULL
);
CREATE INDEX changes_by_batch ON changes (batch);

-- The passphrase's hash, where one is set.
CREATE TABLE passphrase (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    hash TEXT NOT NULL
);
