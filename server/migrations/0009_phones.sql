-- Erasing names reaches what was noted on the day: the text of a note may change then, nothing else of it and at no other time.
create or replace function day_event_stays() returns trigger language plpgsql as $$
begin
  if current_setting('imprenta.wiping', true) = 'names' and old.kind = 'note'
     and (to_jsonb(new) - 'body') = (to_jsonb(old) - 'body') and (new.body - 'value') = (old.body - 'value') then
    return new;
  end if;
  raise exception 'what was tapped stays as it was tapped' using errcode = 'restrict_violation';
end $$;

-- A participant's page: an address that nobody can guess, for one person of one workshop. It ends with the keeping date of the class, which is
-- worked out from the workshop whenever it is asked for.
create table piece_address (
  token text primary key check (token ~ '^[A-Za-z0-9_-]{22}$'),
  workshop_id text not null references workshop (id) on delete cascade,
  participant_id text not null,
  made_at timestamptz not null default now(),
  unique (workshop_id, participant_id)
);
