-- A practice that is put away is kept with all that hangs on it and left out of the lists.
alter table practice add column archived boolean not null default false;
