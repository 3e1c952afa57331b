-- the printers are simulated: what is in them, what they are told to do
create table printer (
  house_id text not null constraint printer_house references house (id),
  ink text not null check (ink in ('toner', 'inkjet')),
  state jsonb not null,
  primary key (house_id, ink)
);

-- the out-tray. A job keeps its PDF until a picture on it is erased
create table print_job (
  id uuid primary key,
  workshop_id text not null constraint print_job_workshop references workshop (id) on delete cascade,
  house_id text not null,
  ink text not null check (ink in ('toner', 'inkjet')),
  paper text not null,
  recipe_id text not null,
  recipe_version integer not null,
  actor text not null,
  at text not null,
  number bigint generated always as identity,
  -- [{"prints": ["…"], "labels": ["…"]}], in the order of the sheets
  sheets jsonb not null,
  pictures text[] not null,
  printed integer not null check (printed >= 0),
  lost integer not null check (lost in (0, 1)),
  stopped text check (stopped in ('jam', 'empty', 'wrong-paper')),
  redo text[] not null default '{}',
  pdf bytea
);
create index print_job_by_workshop on print_job (workshop_id, number);
alter table print_job alter column pdf set storage external;
