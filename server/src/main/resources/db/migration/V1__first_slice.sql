create table account (
    id bigint generated always as identity primary key,
    login text not null unique check (login <> ''),
    name text not null,
    password_hash text not null,
    created_at timestamptz not null default now()
);

create table job (
    id bigint generated always as identity primary key,
    name text not null,
    version bigint not null default 0,
    cidr text not null,
    gateway text not null,
    -- the laptop's own address in the house subnet
    laptop_home text not null,
    created_at timestamptz not null default now()
);

create table job_member (
    job_id bigint not null references job on delete cascade,
    account_id bigint not null references account on delete cascade,
    role text not null check (role in ('lead', 'technician', 'operator', 'viewer')),
    primary key (job_id, account_id)
);

create table address_range (
    id bigint generated always as identity primary key,
    job_id bigint not null references job on delete cascade,
    kind text not null check (kind in ('pool', 'reserved', 'taken')),
    first_address text not null,
    last_address text not null,
    holder text not null default ''
);
create index on address_range (job_id);

create table device (
    id bigint generated always as identity primary key,
    job_id bigint not null references job on delete cascade,
    position int not null,
    name text not null,
    profile text not null,
    mac text not null default '',
    -- planned address; empty for none
    address text not null default '',
    prefix int not null,
    gateway text not null default '',
    reserved boolean not null default false,
    -- the address it last answered from when asked; empty when never
    found text not null default ''
);
create index on device (job_id);

create table line (
    id bigint generated always as identity primary key,
    job_id bigint not null references job on delete cascade,
    number int not null,
    camera_id bigint not null references device on delete cascade,
    control_id int not null,
    controller_id bigint references device on delete set null,
    key_number int,
    unique (job_id, number)
);

-- Every change with its inverse, and every event: undo, logbook and "what changed" come from here.
create table command (
    id bigint generated always as identity primary key,
    job_id bigint not null references job on delete cascade,
    at timestamptz not null default now(),
    account_id bigint references account on delete set null,
    person text not null,
    kind text not null check (kind in ('change', 'undo', 'redo', 'event')),
    label text not null,
    changes jsonb not null default '[]',
    -- of a change: done, undone, or dropped (undone and then overtaken by a newer change)
    state text not null check (state in ('done', 'undone', 'dropped', 'event'))
);
create index on command (job_id, id desc);

create table bring_up (
    id bigint generated always as identity primary key,
    job_id bigint not null references job on delete cascade,
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
    device_id bigint references device on delete cascade,
    laptop text not null,
    done_at timestamptz,
    evidence text not null default '' check (evidence in ('', 'asked', 'seen', 'told')),
    saw text not null default '',
    -- the world's time when the boot started by this step is over
    boot_over_at timestamptz,
    primary key (bring_up_id, number)
);

create table drive_lease (
    device_id bigint primary key references device on delete cascade,
    holder text not null,
    person text not null,
    expires_at timestamptz not null
);

-- Written before a head moves and deleted after it is seen to stand: a restarted server stops these first.
create table moving (
    device_id bigint primary key references device on delete cascade,
    job_id bigint not null references job on delete cascade,
    since timestamptz not null default now()
);
