-- A rig taken through the winter, or woken: the sheet as it was found, and every tick and timer with its time,
-- from which what stays where is worked out again.
create table winter_sheet (
  id varchar(40) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  season varchar(12) not null,
  title varchar(300) not null,
  who varchar(40) not null,
  started_at timestamp with time zone not null,
  ended_at timestamp with time zone,
  outcome varchar(20) not null,
  sheet clob not null
);

create table winter_tick (
  sheet varchar(40) not null references winter_sheet(id) on delete cascade,
  seq int not null,
  ticked_at timestamp with time zone,
  begun_at timestamp with time zone,
  who varchar(40) not null,
  primary key (sheet, seq)
);
