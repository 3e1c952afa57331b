create table house (
  id text primary key,
  version integer not null check (version > 0),
  body jsonb not null
);

create table workshop (
  id text primary key,
  house_id text not null constraint workshop_house references house (id),
  version integer not null check (version > 0),
  -- names are not in the body: they stand in participant_name, where they can be erased
  body jsonb not null
);
create index workshop_by_house on workshop (house_id);

create table participant_name (
  workshop_id text not null references workshop (id) on delete cascade,
  participant_id text not null,
  house_id text not null,
  name text not null check (length(name) <= 80),
  primary key (workshop_id, participant_id)
);

-- append-only; names in changes stand in command_name and can be erased
create table command (
  id uuid primary key,
  house_id text not null,
  subject_kind text not null check (subject_kind in ('workshop', 'house')),
  subject_id text not null,
  base_version integer not null,
  version integer not null,
  kind text not null,
  changes jsonb not null,
  guards jsonb not null,
  actor text not null,
  at text not null,
  received_at timestamptz not null,
  constraint command_version_once unique (subject_kind, subject_id, version)
);

create table command_name (
  command_id uuid not null references command (id),
  house_id text not null,
  place text not null,
  name text,
  primary key (command_id, place)
);

create table demo (
  made_for date not null
);
