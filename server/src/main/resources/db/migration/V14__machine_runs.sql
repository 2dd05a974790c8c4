-- Tests were the first thing that a machine does by itself for a while; looking for devices is the second. A job has
-- one run of each kind at a time.
alter table prove_run rename to machine_run;
alter table machine_run rename column tests to tasks;
alter table machine_run add column kind text not null default 'prove';
alter table machine_run alter column kind drop default;
alter table machine_run add column result jsonb not null default '[]';
alter table machine_run drop constraint prove_run_pkey;
alter table machine_run add primary key (job_id, kind);
