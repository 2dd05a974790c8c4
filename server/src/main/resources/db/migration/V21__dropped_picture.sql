-- A picture that somebody gave for a camera that gives none itself; the newest for each.
create table dropped_picture (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    jpeg bytea not null,
    dropped_by text not null,
    at timestamptz not null default now(),
    primary key (job_id, device_id)
);
