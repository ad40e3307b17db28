-- What is bound to the things of a rig: sensors and motors, each under its name.
create table live_signal (
  rig varchar(64) not null references rig(id) on delete cascade,
  name varchar(60) not null,
  bound clob not null,
  primary key (rig, name)
);

-- Alarms, each until its cause is gone and somebody has seen it; those that are over stay as a record.
create table live_alarm (
  id varchar(40) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  code varchar(30) not null,
  part varchar(64) not null,
  words varchar(1000) not null,
  since_at timestamp with time zone not null,
  gone_at timestamp with time zone,
  seen_at timestamp with time zone,
  seen_by varchar(40) not null,
  quiet_until timestamp with time zone
);

create index live_alarm_by_rig on live_alarm (rig, since_at);

-- Rules that watch and act, each under its name; what one is in the middle of, so that a restart can put it safe.
create table live_rule (
  rig varchar(64) not null references rig(id) on delete cascade,
  name varchar(60) not null,
  state varchar(10) not null,
  rule clob not null,
  doing varchar(400) not null,
  primary key (rig, name)
);

-- Every value of the last days, a minute of all signals of a rig in one row: cheap to write, cheap to forget.
create table live_minute (
  rig varchar(64) not null references rig(id) on delete cascade,
  from_at timestamp with time zone not null,
  packed blob not null,
  primary key (rig, from_at)
);

-- Means of ten minutes and of hours.
create table live_mean (
  rig varchar(64) not null references rig(id) on delete cascade,
  name varchar(60) not null,
  span int not null,
  from_at timestamp with time zone not null,
  mean double precision not null,
  least double precision not null,
  most double precision not null,
  counted int not null,
  primary key (rig, name, span, from_at)
);
