create table account (
    id bigint generated always as identity primary key,
    login text not null unique check (login <> ''),
    name text not null,
    password_hash text not null,
    created_at timestamptz not null default now()
);

-- Failed sign-ins, for the throttle that all servers share.
create table sign_in_failure (
    login text not null,
    origin text not null,
    at timestamptz not null default now()
);
create index on sign_in_failure (at);

create table job (
    id bigint generated always as identity primary key,
    -- raised by every change, so that everybody can tell whether they are up to date
    version bigint not null default 0,
    -- the next item's number; numbers are never given twice
    next_item bigint not null default 1,
    created_at timestamptz not null default now(),
    archived_at timestamptz,
    deleted_at timestamptz
);

create table job_member (
    job_id bigint not null references job,
    account_id bigint not null references account on delete cascade,
    role text not null check (role in ('lead', 'technician', 'operator', 'viewer')),
    primary key (job_id, account_id)
);
create index on job_member (account_id);

create table invitation (
    id bigint generated always as identity primary key,
    job_id bigint not null references job,
    -- SHA-256 of the link's secret; the secret itself is not kept
    token_hash text not null unique,
    role text not null check (role in ('lead', 'technician', 'operator', 'viewer')),
    invited_by text not null,
    created_at timestamptz not null default now(),
    expires_at timestamptz not null,
    used_by text,
    withdrawn boolean not null default false
);
create index on invitation (job_id);

-- What a job is made of: site, subnets, ranges, devices, lines, waivers. The fields of each kind, their
-- rules and what points to what are the core's (Field, JobLinks); every write goes through them.
create table item (
    job_id bigint not null references job,
    id bigint not null check (id > 0),
    kind text not null,
    texts jsonb not null,
    primary key (job_id, id)
);

create table photo (
    id bigint generated always as identity primary key,
    job_id bigint not null references job,
    jpeg bytea not null
);

-- The logbook: only ever added to.
create table log_entry (
    id bigint generated always as identity primary key,
    job_id bigint not null references job,
    at timestamptz not null default now(),
    account_id bigint references account on delete set null,
    person text not null,
    kind text not null check (kind in ('change', 'undo', 'redo', 'event', 'note', 'people', 'file')),
    text text not null,
    devices bigint[] not null default '{}',
    photo_id bigint references photo,
    -- it came in with a job file, so it is that file's word
    from_file boolean not null default false
);
create index on log_entry (job_id, id desc);

create function log_entry_is_only_added_to() returns trigger language plpgsql as $$
begin
    raise exception 'the logbook is only added to';
end $$;
create trigger log_entry_only_added before update of job_id, at, person, kind, text, devices, photo_id, from_file
    or delete on log_entry for each statement execute function log_entry_is_only_added_to();

-- Every change with all its inverse needs: undo and redo come from here.
create table command (
    id bigint generated always as identity primary key,
    job_id bigint not null references job,
    account_id bigint references account on delete set null,
    person text not null,
    at timestamptz not null default now(),
    label text not null,
    changes jsonb not null,
    -- done; undone; dropped: undone and then overtaken by a newer change; lapsed: can no longer be undone
    state text not null default 'done' check (state in ('done', 'undone', 'dropped', 'lapsed'))
);
create index on command (job_id, account_id, id desc);

create table presence (
    job_id bigint not null references job,
    -- one browser tab
    tab text not null,
    account_id bigint not null references account on delete cascade,
    person text not null,
    page text not null,
    seen_at timestamptz not null default now(),
    primary key (job_id, tab)
);

create table bring_up (
    id bigint generated always as identity primary key,
    job_id bigint not null references job,
    method text not null,
    person text not null,
    started_at timestamptz not null default now(),
    open boolean not null default true
);
create unique index one_open_bring_up_per_job on bring_up (job_id) where open;

create table bring_up_step (
    bring_up_id bigint not null references bring_up on delete cascade,
    number int not null,
    kind text not null,
    -- the device's number within the job; none for hops
    device_id bigint,
    laptop text not null,
    done_at timestamptz,
    evidence text not null default '' check (evidence in ('', 'asked', 'seen', 'told')),
    saw text not null default '',
    -- the world's time when the boot started by this step is over
    boot_over_at timestamptz,
    primary key (bring_up_id, number)
);

create table drive_lease (
    job_id bigint not null references job,
    device_id bigint not null,
    -- the server that has the link, by the address it listens on
    server text not null,
    holder text not null,
    person text not null,
    expires_at timestamptz not null,
    primary key (job_id, device_id)
);

-- Written before a head moves and deleted after it is seen to stand: a restarted server stops these first.
create table moving (
    job_id bigint not null references job,
    device_id bigint not null,
    since timestamptz not null default now(),
    primary key (job_id, device_id)
);
