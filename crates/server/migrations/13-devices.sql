-- Version 13: from which device something was written, so that nobody takes back what another did without being told;
-- and of each session the device it is for, so that one can be signed out from another. Empty where it is not known.
ALTER TABLE batches ADD COLUMN device TEXT NOT NULL DEFAULT '';
ALTER TABLE happened ADD COLUMN device TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN device TEXT NOT NULL DEFAULT '';
ALTER TABLE sessions ADD COLUMN device TEXT NOT NULL DEFAULT '';
ALTER TABLE sessions ADD COLUMN opened_at INTEGER NOT NULL DEFAULT 0;
