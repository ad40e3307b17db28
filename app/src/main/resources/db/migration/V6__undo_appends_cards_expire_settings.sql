-- Undo appends a version instead of going back to a number: each version says which step it shows,
-- and a step says which one stood before it. Numbers are never used again.
alter table rig_version add column shows int default 0 not null;
alter table rig_version add column came_from int default 0 not null;
update rig_version set shows = version, came_from = version - 1;

-- A card may hold until a day.
alter table card add column expires_at timestamp with time zone;

-- An early draft of automations had a column more.
alter table automation drop column if exists active;

-- What holds for this whole copy, such as the address that others reach it under.
create table setting (
  name varchar(64) not null primary key,
  entry varchar(400) not null
);
