-- What was seen of an installation, beside its plan: only ever added to. Counted up within a job, under the lock of
-- the job's row, so that a reader who knows the highest number has missed nothing.
alter table job add column observed bigint not null default 0;

create table observation (
    job_id bigint not null references job,
    number bigint not null check (number > 0),
    -- the device's number within the job, and the line it belonged to then
    device_id bigint not null,
    line_id bigint,
    topic text not null,
    value text not null default '',
    evidence text not null check (evidence in ('asked', 'seen', 'told')),
    outcome text check (outcome in ('ok', 'differs', 'failed', 'cannot-tell')),
    person text not null,
    -- by which exchange or in whose words
    detail text not null default '',
    at timestamptz not null default now(),
    -- the planned facts it rests on, by value, as they were
    basis jsonb not null,
    photo_id bigint references photo,
    primary key (job_id, number)
);
create index on observation (job_id, device_id, topic, number desc);
create index on observation (job_id, line_id, number desc);

create function observation_is_only_added_to() returns trigger language plpgsql as $$
begin
    raise exception 'observations are only added to';
end $$;
create trigger observation_only_added before update or delete on observation
    for each statement execute function observation_is_only_added_to();

-- Where devices were found was a field of theirs; who found it, and how, is in the steps of the bring-ups.
insert into observation (job_id, number, device_id, line_id, topic, value, evidence, outcome, person, detail, at, basis)
select d.job_id, row_number() over (partition by d.job_id order by coalesce(s.done_at, j.created_at), d.id), d.id,
       (select min(l.id) from item l
        where l.job_id = d.job_id and l.kind = 'line' and l.texts->>'camera' = d.id::text),
       'address', d.texts->>'found', coalesce(s.evidence, 'told'),
       case when d.texts->>'found' = d.texts->>'address' then 'ok' else 'differs' end,
       coalesce(s.person, ''), coalesce(s.saw, ''), coalesce(s.done_at, j.created_at),
       jsonb_build_object('profile', d.texts->>'profile', 'address', coalesce(d.texts->>'address', ''),
                          'prefix', coalesce(d.texts->>'prefix', '24'), 'gateway', coalesce(d.texts->>'gateway', ''),
                          'mac', coalesce(d.texts->>'mac', ''))
from item d
join job j on j.id = d.job_id
left join lateral (
    select nullif(s.evidence, '') as evidence, s.saw, s.done_at, b.person
    from bring_up b join bring_up_step s on s.bring_up_id = b.id
    where b.job_id = d.job_id and s.device_id = d.id and s.done_at is not null and (s.kind = 'verify' or s.differs)
    order by s.done_at desc limit 1) s on true
where d.kind = 'device' and coalesce(d.texts->>'found', '') <> '';

update job set observed = (select coalesce(max(number), 0) from observation o where o.job_id = job.id);
update item set texts = texts - 'found' where kind = 'device' and texts ? 'found';

-- Commands keep whole items for their inverse.
update command set changes = jsonb_set(jsonb_set(changes,
    '{adds}', (select coalesce(jsonb_agg(case when e->>'item' = 'device' then e #- '{values,found}' else e end), '[]')
               from jsonb_array_elements(changes->'adds') e)),
    '{removes}', (select coalesce(jsonb_agg(case when e->>'item' = 'device' then e #- '{values,found}' else e end), '[]')
                  from jsonb_array_elements(changes->'removes') e))
where changes::text like '%"found"%';
