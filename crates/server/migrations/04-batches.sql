-- Version 4: the number of a batch is used once, whether anything came of the batch or not, so that whoever takes one
-- back never takes back what another wrote.
CREATE TABLE batches (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    made_at TEXT NOT NULL
);
INSERT INTO batches (id, made_at)
SELECT last.batch, last.made_at
FROM (SELECT batch, made_at FROM changes UNION ALL SELECT batch, made_at FROM ledger ORDER BY batch DESC LIMIT 1) AS last;
-- What tells a workshop's file from another program's: "Lori".
PRAGMA application_id = 1282372201;
