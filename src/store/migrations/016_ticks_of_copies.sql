-- Ticks of a hooping belong to their copy: what was "2/hoop" in one list for all becomes {"copy": 2, "ticks": ["hoop"]}.
UPDATE hooping
   SET prepared = (
         SELECT coalesce(json_group_array(json_object('copy', copy, 'ticks', json(ticks))), '[]')
           FROM (SELECT copy, json_group_array(tick) AS ticks
                   FROM (SELECT CASE WHEN value GLOB '[0-9]*/*' THEN CAST(substr(value, 1, instr(value, '/') - 1) AS INTEGER) ELSE 0 END AS copy,
                                CASE WHEN value GLOB '[0-9]*/*' THEN substr(value, instr(value, '/') + 1) ELSE value END AS tick
                           FROM json_each(hooping.prepared))
                  GROUP BY copy));
