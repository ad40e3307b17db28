-- What each person practised on a rig, and when it comes back.
create table practice (
  rig varchar(64) not null references rig(id) on delete cascade,
  person varchar(60) not null,
  what varchar(200) not null,
  box int not null,
  due varchar(10) not null,
  passed_on varchar(10),
  primary key (rig, person, what)
);
