-- Every version of a description, so that each step can be undone and two can be compared.
create table rig_version (
  rig varchar(64) not null references rig(id) on delete cascade,
  version int not null,
  description clob not null,
  made_at timestamp with time zone not null,
  who varchar(40) not null,
  what varchar(200) not null,
  primary key (rig, version)
);

insert into rig_version (rig, version, description, made_at, who, what)
select id, version, description, created_at, 'you', 'Taken in' from rig;

-- A rig that is put away keeps everything but no longer stands in the list.
alter table rig add column archived boolean default false not null;
