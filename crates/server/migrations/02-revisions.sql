-- Version 2: the changes of one entry are its earlier revisions, which are looked for by entry.
CREATE INDEX changes_by_entry ON changes (entry, revision);
