-- The version of the rig that answers made, so that a later Fernwort that makes another rig of the
-- same answers still knows its own; none for answers from before.
alter table answers add column made int;
