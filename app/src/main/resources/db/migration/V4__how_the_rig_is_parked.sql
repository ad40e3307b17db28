-- How the rig stands, in degrees: nose up and left side up; levels are read and reckoned on it.
alter table rig add column pitch double precision default 0 not null;
alter table rig add column roll double precision default 0 not null;
