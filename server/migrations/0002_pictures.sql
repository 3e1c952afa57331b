-- what a picture is for the plan stands in its workshop's body; here is what has to be erasable: its bytes and its file's name
create table picture (
  id text primary key check (id ~ '^[a-z0-9-]{1,64}$'),
  workshop_id text not null constraint picture_workshop references workshop (id) on delete cascade,
  house_id text not null,
  name text not null check (length(name) <= 200),
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  detail real,
  pale real,
  -- of the stored pixels, to say that a picture is in already
  hash text not null,
  added_at timestamptz not null
);
create index picture_by_workshop on picture (workshop_id);

create table picture_file (
  picture_id text not null references picture (id) on delete cascade,
  size text not null check (size in ('full', 'view', 'thumb')),
  bytes bytea not null,
  primary key (picture_id, size)
);
-- JPEG does not get smaller
alter table picture_file alter column bytes set storage external;
