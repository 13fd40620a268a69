-- Version 9: orders, bags and what is held by hand are kept among the entries, and batches can say how many turns lie on a
-- rod. A program that does not know them must not open the file.
CREATE INDEX happened_by_time ON happened (made_at);
