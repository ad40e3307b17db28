-- What people last entered on the Sizing screen, as typed, with the units they wrote in.
create table sizing_entry (
  rig varchar(64) not null references rig(id) on delete cascade,
  field varchar(64) not null,
  entry varchar(400) not null,
  units varchar(100) not null,
  primary key (rig, field)
);

-- Habits say since now for whom they count, how often, and where their figures come from.
update rig set habits =
  '{"people":' || people || ',"pets":0,"season":"MILD","habits":'
  || replace(habits, '"litresPerPersonDay":',
     '"per":"PERSON","times":1,"heat":1,"source":"Entered before sources were kept","litres":')
  || '}';
