-- What a person took back is few; what they did is many.
create index on command (job_id, account_id, id) where state = 'undone';
