-- Version 8: what happened to a batch at the bench, a line each, told under a key of its own so that what is sent twice
-- counts once. As in the ledger, none is ever changed or taken out. Where wire or scrap was booked with it, the batch of
-- writes that did is named.
CREATE TABLE happened (
    id INTEGER PRIMARY KEY,
    key TEXT NOT NULL UNIQUE,
    entry INTEGER NOT NULL REFERENCES entries (id),
    step_n INTEGER NOT NULL,
    happened TEXT NOT NULL,
    n INTEGER NOT NULL,
    reason TEXT NOT NULL,
    made_at TEXT NOT NULL,
    booked INTEGER REFERENCES batches (id)
);
CREATE INDEX happened_by_entry ON happened (entry, id);
CREATE INDEX happened_by_booking ON happened (booked) WHERE booked IS NOT NULL;

CREATE TRIGGER happened_is_not_changed BEFORE UPDATE ON happened
BEGIN
    SELECT RAISE (ABORT, 'what happened at the bench is never changed');
END;
CREATE TRIGGER happened_is_not_shortened BEFORE DELETE ON happened
BEGIN
    SELECT RAISE (ABORT, 'what happened at the bench is never taken out');
END;
