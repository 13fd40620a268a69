-- Version 12: which workshop the file is, and how many writes it has seen. The mark is found in SQLite's log as it is, so
-- that a log that was left by another file, or by another state of this one, is never carried into it.
CREATE TABLE written (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    workshop TEXT NOT NULL,
    mark TEXT NOT NULL
);
INSERT INTO written (id, workshop, mark) VALUES (1, lower(hex(randomblob(16))), '');
UPDATE written SET mark = 'lorimant-written:' || workshop || ':' || printf('%020d', 0);
