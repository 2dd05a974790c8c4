-- where a job's commands go: nowhere until somebody with the right chooses
alter table job add column world text not null default '' check (world in ('', 'rig', 'live'));
-- all jobs of before were worked in the rig
update job set world = 'rig';
