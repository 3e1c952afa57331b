-- Who has which room when. A room is a name within a house; whoever was planned first has it, and what meets it in the same room asks for it
-- and does not hold it. That nobody else holds it at the same time is what the constraint says.
create extension if not exists btree_gist;

create table booking (
  workshop_id text not null references workshop (id) on delete cascade,
  session_id text not null,
  house_id text not null,
  room text not null check (room <> ''),
  -- by the clock of the house
  during tsrange not null,
  holds boolean not null,
  primary key (workshop_id, session_id),
  constraint booking_once exclude using gist (house_id with =, room with =, during with &&) where (holds)
);
create index booking_room on booking (house_id, room);

-- the rooms that a workshop's classes are in
create function rooms_of(summary jsonb) returns setof text language sql immutable as $$
  select distinct lower(btrim(s ->> 'room')) from jsonb_array_elements(coalesce(summary -> 'sessions', '[]')) s
   where btrim(s ->> 'room') <> ''
$$;

-- books a room anew: all its classes in the order in which their workshops were planned
create function book(h text, r text) returns void language plpgsql as $$
declare b record;
begin
  delete from booking where house_id = h and room = r;
  for b in
    select w.id as workshop, s.value ->> 'id' as session,
           (s.value ->> 'date')::date + (s.value ->> 'start')::time as starts,
           (s.value ->> 'date')::date + (s.value ->> 'end')::time
             + case when (s.value ->> 'end')::time < (s.value ->> 'start')::time then interval '1 day' else interval '0' end as ends
      from workshop w, jsonb_array_elements(w.summary -> 'sessions') with ordinality s (value, n)
     where w.house_id = h and w.summary ->> 'archivedAt' is null and lower(btrim(s.value ->> 'room')) = r
     order by (w.summary ->> 'createdAt') collate "C", w.id collate "C", s.n
  loop
    begin
      insert into booking values (b.workshop, b.session, h, r, tsrange(b.starts, b.ends), true);
    exception when exclusion_violation then
      insert into booking values (b.workshop, b.session, h, r, tsrange(b.starts, b.ends), false);
    end;
  end loop;
end $$;

create function book_rooms() returns trigger language plpgsql as $$
declare r text;
begin
  if tg_op <> 'INSERT' then
    for r in select rooms_of(old.summary) loop perform book(old.house_id, r); end loop;
  end if;
  if tg_op <> 'DELETE' then
    for r in select rooms_of(new.summary) loop perform book(new.house_id, r); end loop;
  end if;
  return null;
end $$;

create trigger workshop_booked after insert or delete on workshop for each row execute function book_rooms();
create trigger workshop_rebooked after update on workshop for each row
  when (old.summary -> 'sessions' is distinct from new.summary -> 'sessions'
        or old.summary -> 'archivedAt' is distinct from new.summary -> 'archivedAt'
        or old.house_id is distinct from new.house_id)
  execute function book_rooms();

do $$
declare x record;
begin
  for x in select distinct w.house_id, r from workshop w, rooms_of(w.summary) r loop perform book(x.house_id, x.r); end loop;
end $$;
