-- Keys of requests that wrote something: one that is sent again is not done again.
create table request_key (
    account_id bigint not null references account on delete cascade,
    key text not null,
    at timestamptz not null default now(),
    primary key (account_id, key)
);
create index on request_key (at);

-- Tries to sign in are counted before the password is looked at; each can be taken back.
alter table sign_in_failure add column id bigint generated always as identity;

-- Browsers that somebody has signed in with before: whoever guesses elsewhere does not lock them out.
create table known_browser (
    account_id bigint not null references account on delete cascade,
    -- SHA-256 of what the browser keeps
    secret_hash text not null,
    seen_at timestamptz not null default now(),
    primary key (account_id, secret_hash)
);
