-- Things a workshop keeps. Each shelf holds whole records as JSON, so that what is exported, imported
-- and stored is one and the same; the columns beside it are what lists search and sort by.
CREATE TABLE plans (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    record TEXT NOT NULL,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL
);
CREATE INDEX plans_by_update ON plans (archived, updated_at DESC, id DESC);

CREATE TABLE rods (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    record TEXT NOT NULL,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL
);

CREATE TABLE blades (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    record TEXT NOT NULL,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL
);

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
    shelf TEXT NOT NULL,
    entry INTEGER NOT NULL,
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
