-- the serial port of this machine that stands in the place of the job's serial server; empty for none
alter table job add column serial_port text not null default '';
