-- Where the shot list of a job stands while somebody runs it: the take on air and the one that is up next, null before
-- the first and after the last.
create table shot_run (
    job_id bigint primary key references job on delete cascade,
    list_id bigint not null,
    at_take bigint,
    next_take bigint,
    cut_at timestamptz not null default now(),
    -- Counted with each cut: what could not be sent before is tried once more.
    cuts int not null default 0,
    -- The page of whoever runs it said then that it is there.
    page_at timestamptz not null default now()
);
