-- Shares of full speed, of the focus motor and of the way to a stored view.
alter table desk_feel
    add column focus double precision not null default 1,
    add column recall double precision not null default 1;
