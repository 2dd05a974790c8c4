-- What is on air is read from this switcher; no row where people say it by hand.
create table tally_source (
    job_id bigint primary key references job on delete cascade,
    switcher_id bigint not null,
    set_by text not null,
    at timestamptz not null default now()
);

-- Which cameras are on its programme, as it said last. What was heard
-- too long ago is not known, and counts as on air.
create table tally (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    on_air boolean not null,
    heard_at timestamptz not null,
    primary key (job_id, device_id)
);
