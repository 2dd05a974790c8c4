-- How often all was stopped in a job: who missed the notice sees it by the count. Apart from the job's own row, which
-- a long change may have locked.
create table job_stop (
    job_id bigint primary key references job,
    stops bigint not null default 0
);
