-- Which server watches the network for an open bring-up, by the address it listens on: one at a time, until it is silent.
alter table bring_up add column watched_by text not null default '';
alter table bring_up add column watched_until timestamptz not null default 'epoch';
