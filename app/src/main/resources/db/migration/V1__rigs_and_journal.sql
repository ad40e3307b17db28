-- A rig as it was described, in the format of docs/rig.schema.json.
create table rig (
  id varchar(64) not null primary key,
  name varchar(60) not null,
  version int not null,
  description clob not null,
  people int not null,
  habits clob not null,
  created_at timestamp with time zone not null
);

-- Where each handle stands; one that was never turned is at rest and has no row.
create table handle (
  rig varchar(64) not null references rig(id) on delete cascade,
  part varchar(64) not null,
  position_id varchar(64) not null,
  primary key (rig, part)
);

-- The newest reading of each tank, volume in cubic metres.
create table level (
  rig varchar(64) not null references rig(id) on delete cascade,
  tank varchar(64) not null,
  volume double precision not null,
  read_at timestamp with time zone not null,
  shown varchar(40) not null,
  primary key (rig, tank)
);

-- Who changed what and when; also what undo and redo work from.
create table journal (
  rig varchar(64) not null references rig(id) on delete cascade,
  seq bigint not null,
  made_at timestamp with time zone not null,
  who varchar(40) not null,
  kind varchar(20) not null,
  subject varchar(64) not null,
  before_value varchar(400) not null,
  after_value varchar(400) not null,
  standing varchar(10) not null,
  primary key (rig, seq)
);

-- The passphrase that listening beyond this machine asks for, hashed.
create table passphrase (
  id int not null primary key,
  hash varchar(200) not null
);
