-- The newest line, and what can be undone or redone, are asked with each change: a journal of years
-- is not read through for it.
create index journal_newest on journal (rig, seq desc);
create index journal_by_standing on journal (rig, standing, seq desc);
