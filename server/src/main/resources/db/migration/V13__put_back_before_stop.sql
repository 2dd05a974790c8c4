-- How often all was stopped in the job when a test noted it: after another STOP ALL nothing moves back by itself.
alter table put_back add column stops bigint not null default 0;
