-- What a camera saw when it stored a view, small; the picture of a number that is stored again is another.
create table preset_still (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    number int not null,
    jpeg bytea not null,
    taken_at timestamptz not null default now(),
    primary key (job_id, device_id, number)
);
