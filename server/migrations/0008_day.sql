-- What was tapped on the day of a class: a list that only grows. Events come in any order, any number of times, from any number of tablets;
-- `n` is the order in which they came here, by which a tablet asks for what it has not.
create table day_event (
  n bigint generated always as identity unique,
  id uuid primary key,
  workshop_id text not null references workshop (id) on delete cascade,
  session_id text not null,
  kind text not null,
  body jsonb not null,
  -- by the server's clock, as well as the tablet knew it
  happened timestamptz not null,
  never_before timestamptz,
  -- said before its time all the same: that happened, and is kept as what it is
  early boolean not null default false,
  received timestamptz not null default now(),
  constraint day_event_never_early check (never_before is null or happened >= never_before or early)
);
create index day_event_of on day_event (workshop_id, session_id, n);

create function day_event_stays() returns trigger language plpgsql as $$
begin
  raise exception 'what was tapped stays as it was tapped' using errcode = 'restrict_violation';
end $$;
create trigger day_event_only_grows before update on day_event for each row execute function day_event_stays();
