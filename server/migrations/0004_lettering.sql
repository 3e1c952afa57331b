-- where the measuring at arrival saw lettering, perhaps: boxes in shares of the picture; erased with it
alter table picture add column lettering jsonb not null default '[]' check (jsonb_typeof(lettering) = 'array');
