-- What somebody has answered about a rig, answer by answer: the newest counts, and an earlier one
-- again where its description is taken back.
create table answers (
  rig varchar(64) not null references rig(id) on delete cascade,
  seq int not null,
  given clob not null,
  primary key (rig, seq)
);
