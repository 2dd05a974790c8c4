-- How a person likes the heads of one kind to answer the stick.
create table desk_feel (
    account_id bigint not null references account on delete cascade,
    profile text not null,
    dead_zone double precision not null,
    k double precision not null,
    ramp_seconds double precision not null,
    pan double precision not null,
    tilt double precision not null,
    zoom double precision not null,
    crossing_seconds double precision not null,
    primary key (account_id, profile)
);

-- Somebody at its place said that nothing is in a head's way: in the world that the job was worked in then. Moved
-- on by every move, so that it ends with the work.
create table desk_clear (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    said_by text not null,
    world text not null,
    at timestamptz not null default now(),
    primary key (job_id, device_id)
);

-- Cameras whose picture goes out now, as somebody said by hand.
create table on_air (
    job_id bigint not null references job on delete cascade,
    device_id bigint not null,
    said_by text not null,
    since timestamptz not null default now(),
    primary key (job_id, device_id)
);

-- What a person has the axes and buttons of one game pad do.
create table desk_pad (
    account_id bigint not null references account on delete cascade,
    -- as its browser names it
    pad text not null,
    map jsonb not null,
    primary key (account_id, pad)
);

-- Somebody else asks for a camera that is driven: its driver may keep it, else it is given back.
alter table drive_lease
    add column asked_by text,
    add column asked_for text,
    add column asked_at timestamptz;
