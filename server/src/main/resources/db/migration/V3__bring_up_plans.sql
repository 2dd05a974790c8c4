-- Where a bring-up is done, and which devices were put aside for now.
alter table bring_up add column workshop boolean not null default false;
alter table bring_up add column aside bigint[] not null default '{}';

-- The world's time when a step was done and what it took a technician, so that estimates learn;
-- and whether what was seen differed from the plan.
alter table bring_up_step add column world_done_at timestamptz;
alter table bring_up_step add column taken_seconds int;
alter table bring_up_step add column differs boolean not null default false;
alter table bring_up add column world_started_at timestamptz;
