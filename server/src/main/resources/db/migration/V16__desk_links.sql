-- How the link to a driven camera stands, as its server says each second: unknown, up, slow or lost.
alter table drive_lease add column link text not null default 'unknown';
