-- What people note of their water over time: looks, fills, dumps, hauls, who is on board and the rest. Nothing is
-- deleted: what was corrected or taken back keeps its row. Volumes in cubic metres.
create table diary (
  id varchar(64) not null primary key,
  rig varchar(64) not null references rig(id) on delete cascade,
  happened_at timestamp with time zone not null,
  made_at timestamp with time zone not null,
  who varchar(40) not null,
  kind varchar(20) not null,
  part varchar(64) not null,
  volume double precision,
  shown varchar(80) not null,
  reckoned boolean not null,
  people int,
  pets int,
  per_person_day double precision,
  until_at timestamp with time zone,
  trips int,
  price decimal(12, 2),
  place varchar(200) not null,
  treated boolean,
  doubtful boolean not null,
  note varchar(2000) not null,
  pitch double precision not null,
  roll double precision not null,
  standing varchar(12) not null,
  replaces varchar(64)
);

create index diary_by_time on diary (rig, happened_at);
create index diary_by_kind on diary (rig, kind, happened_at);
create index diary_by_part on diary (rig, part, happened_at);

-- [jooq ignore start]
-- Readings from before, as the journal kept them: volume|time|as it was given.
insert into diary
  (id, rig, happened_at, made_at, who, kind, part, volume, shown, reckoned, place, doubtful, note, pitch, roll,
   standing)
select
  'journal-' || rig || '-' || seq,
  rig,
  cast(regexp_substr(after_value, '[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:.]+Z') as timestamp with time zone),
  made_at,
  who,
  'READING',
  subject,
  cast(substring(after_value, 1, locate('|', after_value) - 1) as double precision),
  substring(after_value, locate('|', after_value, locate('|', after_value) + 1) + 1, 80),
  after_value like '%as reckoned%',
  '',
  false,
  '',
  0,
  0,
  'stands'
from journal
where kind = 'READING'
  and standing = 'stands'
  and length(rig) < 40
  and regexp_like(after_value, '^[0-9.]+(E-[0-9]+)?\|(19|20)[0-9]{2}-[0-9]{2}-[0-9]{2}T[0-9:.]+Z\|');
-- [jooq ignore stop]
