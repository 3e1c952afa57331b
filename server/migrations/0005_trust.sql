-- what lists say of a workshop without opening it; filled at a start for those that were there before
alter table workshop add column summary jsonb;

-- the body may be some commands behind its version: it is written anew every few of them, and brought up to date in reading
alter table workshop add column body_version integer;
update workshop set body_version = version;
alter table workshop alter column body_version set not null;
alter table workshop add constraint workshop_body_version check (body_version > 0 and body_version <= version);

-- something of this command was erased: what is left cannot be held against a repeated one
alter table command add column wiped boolean not null default false;

-- commands that were not taken, and told: sent again by a network they are not taken later. Nothing of what they said is kept
create table command_declined (
  id uuid primary key,
  at timestamptz not null
);

-- pictures that were erased do not come back, whatever old change names them
create table picture_erased (
  picture_id text primary key check (picture_id ~ '^[a-z0-9-]{1,64}$'),
  workshop_id text not null,
  at timestamptz not null
);

alter table house add constraint house_id_form check (id ~ '^[a-z0-9-]{1,64}$');
alter table workshop add constraint workshop_id_form check (id ~ '^[a-z0-9-]{1,64}$');
