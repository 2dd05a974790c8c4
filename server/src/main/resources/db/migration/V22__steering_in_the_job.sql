-- How desks steer a head belongs to the job: it goes into its file, is taken back like any change, and what was proved
-- rests on it. Limits are hundredths of a degree there, as texts.
update item i set texts = texts || jsonb_strip_nulls(jsonb_build_object(
    'softLeft', round(l.pan_left * 100)::int::text,
    'softRight', round(l.pan_right * 100)::int::text,
    'softDown', round(l.tilt_down * 100)::int::text,
    'softUp', round(l.tilt_up * 100)::int::text))
from desk_limit l
where i.job_id = l.job_id and i.id = l.device_id and i.kind = 'device'
  -- two that were less than a hundredth apart would be one place now
  and coalesce(round(l.pan_left * 100) < round(l.pan_right * 100), true)
  and coalesce(round(l.tilt_down * 100) < round(l.tilt_up * 100), true);

update item i set texts = texts || jsonb_build_object('panRound', t.pan::text, 'tiltRound', t.tilt::text)
from desk_turned t
where i.job_id = t.job_id and i.id = t.device_id and i.kind = 'device' and (t.pan or t.tilt);

drop table desk_limit;
drop table desk_turned;
