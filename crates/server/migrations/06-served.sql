-- Version 6: where the server that has the file answers, so that a second one can say so; and names looked up without
-- reading every record.
CREATE TABLE served (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    address TEXT NOT NULL
);
CREATE INDEX entries_by_name ON entries (trim(name) COLLATE NOCASE) WHERE archived = 0;
