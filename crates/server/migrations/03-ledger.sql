-- Version 3: the rack's ledger. What is left of a lot, or lies on a pile of scrap, is the sum of its lines. A line is for a lot, in thousandths of a millimetre, or for a pile (metal and cleanliness), in milligrams. None is
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

-- The sum of each lot's lines, kept by the file itself with every line, and never below nothing: a rack of two thousand
-- spools opens without adding up all that ever happened to them.
CREATE TABLE lots_left (
    lot INTEGER PRIMARY KEY REFERENCES entries (id),
    amount INTEGER NOT NULL CHECK (amount >= 0)
);
CREATE TRIGGER lots_left_follow AFTER INSERT ON ledger WHEN NEW.lot IS NOT NULL
BEGIN
    INSERT OR IGNORE INTO lots_left (lot, amount) VALUES (NEW.lot, 0);
    UPDATE lots_left SET amount = amount + NEW.amount WHERE lot = NEW.lot;
END;
