-- The tests that a machine does or did last in a job; one run at a time. Silent for long, its server was killed.
create table prove_run (
    job_id bigint primary key references job,
    server text not null,
    person text not null,
    -- of device and topic, in their order
    tests jsonb not null,
    done int not null default 0,
    doing text not null default '',
    state text not null check (state in ('running', 'done', 'cancelled', 'stopped')),
    why text not null default '',
    cancelled boolean not null default false,
    started_at timestamptz not null default now(),
    seen_at timestamptz not null default now()
);

-- What a test has changed and not put back yet: written before it is changed.
create table put_back (
    job_id bigint not null references job,
    device_id bigint not null,
    -- head, or the name of a knob
    what text not null,
    value text not null,
    server text not null,
    login text not null,
    since timestamptz not null default now(),
    primary key (job_id, device_id, what)
);
