-- Version 11: what was measured of a check, a line for each reading, told under a key of its own so that what is sent twice
-- counts once. As at the bench none is ever changed or taken out; a maker may set one aside, and take it in again. What was
-- learned of each lot from them is kept beside, so that planning need not read them all.
CREATE TABLE readings (
    id INTEGER PRIMARY KEY,
    key TEXT NOT NULL UNIQUE,
    entry INTEGER NOT NULL REFERENCES entries (id),
    piece_n INTEGER NOT NULL,
    dimension TEXT NOT NULL,
    value REAL NOT NULL,
    source TEXT NOT NULL,
    made_at TEXT NOT NULL,
    aside INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX readings_by_entry ON readings (entry, id);

CREATE TRIGGER readings_are_not_changed BEFORE UPDATE ON readings
WHEN NEW.id <> OLD.id OR NEW.key <> OLD.key OR NEW.entry <> OLD.entry OR NEW.piece_n <> OLD.piece_n
    OR NEW.dimension <> OLD.dimension OR NEW.value <> OLD.value OR NEW.source <> OLD.source
    OR NEW.made_at <> OLD.made_at
BEGIN
    SELECT RAISE (ABORT, 'a reading is never changed, only set aside');
END;
CREATE TRIGGER readings_are_not_shortened BEFORE DELETE ON readings
BEGIN
    SELECT RAISE (ABORT, 'a reading is never taken out');
END;

CREATE TABLE learned (
    lot INTEGER PRIMARY KEY REFERENCES entries (id),
    flow REAL NOT NULL,
    spread REAL NOT NULL,
    measured_n INTEGER NOT NULL
);
