-- the certificate that the web server of a device showed at first sight
create table device_pin (
  job_id bigint not null references job (id) on delete cascade,
  device bigint not null,
  sha256 text not null,
  seen_at timestamptz not null default now(),
  primary key (job_id, device)
);

-- what restarts, erases or powers, of profiles that came from outside: exactly as a lead saw it
create table verb_approval (
  job_id bigint not null references job (id) on delete cascade,
  profile text not null,
  what text not null,
  sent text not null,
  by_account bigint not null,
  at timestamptz not null default now(),
  primary key (job_id, profile, what, sent)
);
