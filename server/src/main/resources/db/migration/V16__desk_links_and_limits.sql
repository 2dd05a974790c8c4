-- How the link to a driven camera stands, as its server says each second: unknown, up, slow or lost.
alter table drive_lease add column link text not null default 'unknown';

-- Between which places a head is to point, in degrees from its middle, right and up positive; null for no limit.
create table desk_limit (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    pan_left double precision,
    pan_right double precision,
    tilt_down double precision,
    tilt_up double precision,
    set_by text not null,
    at timestamptz not null default now(),
    primary key (job_id, device_id)
);

-- A stick turns this head the other way, since it hangs so that its picture would go the wrong way.
create table desk_turned (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    pan boolean not null,
    tilt boolean not null,
    set_by text not null,
    at timestamptz not null default now(),
    primary key (job_id, device_id)
);
