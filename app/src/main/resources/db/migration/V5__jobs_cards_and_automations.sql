-- A job that somebody does or did: its run sheet, ticked step by step.
create table job_run (
  id varchar(40) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  job varchar(200) not null,
  title varchar(300) not null,
  who varchar(40) not null,
  started_at timestamp with time zone not null,
  ended_at timestamp with time zone,
  outcome varchar(20) not null,
  moved double precision not null
);

create table run_step (
  run varchar(40) not null references job_run(id) on delete cascade,
  seq int not null,
  stage int not null,
  step clob not null,
  mark varchar(12) not null,
  marked_at timestamp with time zone,
  who varchar(40) not null,
  note varchar(400) not null,
  begun_at timestamp with time zone,
  primary key (run, seq)
);

-- A page for somebody who borrows the rig, reached by its token alone.
create table card (
  token varchar(60) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  name varchar(60) not null,
  shows varchar(1000) not null,
  made_at timestamp with time zone not null,
  withdrawn_at timestamp with time zone
);

-- What motor valves do by themselves, on the simulated rig.
create table automation (
  id varchar(40) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  rule clob not null
);
