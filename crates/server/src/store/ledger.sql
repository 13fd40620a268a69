-- Version 3: the rack's ledger. What is left of a lot, or lies on a pile of scrap, is the sum of its lines and nothing
-- else. A line is for a lot, in thousandths of a millimetre, or for a pile (metal and cleanliness), in milligrams. None is
-- ever changed or taken out: a mistake is put right by a line that reverses it, and no line is reversed twice.
CREATE TABLE ledger (
    id INTEGER PRIMARY KEY,
    batch INTEGER NOT NULL,
    lot INTEGER REFERENCES entries (id),
    pile TEXT,
    kind TEXT NOT NULL,
    amount INTEGER NOT NULL,
    note TEXT NOT NULL,
    made_at TEXT NOT NULL,
    reverses INTEGER UNIQUE REFERENCES ledger (id),
    CHECK ((lot IS NULL) <> (pile IS NULL))
);
CREATE INDEX ledger_by_lot ON ledger (lot, amount);
CREATE INDEX ledger_by_pile ON ledger (pile, amount);
CREATE INDEX ledger_by_batch ON ledger (batch);

CREATE TRIGGER ledger_is_not_changed BEFORE UPDATE ON ledger
BEGIN
    SELECT RAISE (ABORT, 'a line of the ledger is never changed');
END;
CREATE TRIGGER ledger_is_not_shortened BEFORE DELETE ON ledger
BEGIN
    SELECT RAISE (ABORT, 'a line of the ledger is never taken out');
END;
