-- the version at which everybody's names in a workshop were last erased: a browser that was away forgets what it still holds of them
alter table workshop add column names_erased integer not null default 0;
update workshop w set names_erased = coalesce(
  (select max(c.version) from command c where c.subject_kind = 'workshop' and c.subject_id = w.id and c.kind = 'erase-names'), 0);
