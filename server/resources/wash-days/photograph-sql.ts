/** What was read in a photograph `p`, as JSON; null until it is measured. */
export const MEASURED = `(select json_build_object('measuredAt', m.measured_at, 'ruleMm', m.rule_mm, 'leftOut', m.left_out,
    'taken', case when m.px_per_mm is not null then json_build_object('card', m.card, 'pxPerMm', m.px_per_mm, 'edgeMm', m.edge_mm,
      'tilt', m.tilt, 'exposure', m.exposure, 'kelvin', m.kelvin, 'clipped', m.clipped, 'way', m.way) end,
    'thinnest', m.thinnest_mm, 'widths', m.widths, 'notes', m.notes,
    'curlWidth', m.curl_width_mm, 'curls', m.curls, 'leans', m.leans, 'parting', m.parting,
    'readings', (select coalesce(json_agg(json_build_object('measure', r.measure,
      'half', nullif(r.half, 'both'), 'value', r.value, 'why', r.why) order by r.measure, r.half), '[]') from photograph_reading r where r.photograph_id = m.photograph_id))
  from photograph_measured m where m.photograph_id = p.id)`;

/** A photograph `p` as its wash day lists it, as JSON. */
export const PHOTOGRAPH = `json_build_object('id', p.id, 'stage', p.stage, 'day', p.day, 'angle', p.angle, 'zoneId', p.zone_id,
    'takenAt', p.taken_at, 'width', p.width, 'height', p.height, 'size', p.size, 'orientation', p.orientation, 'film', p.film,
    'received', case when p.bytes is not null then p.size else
      (select coalesce(sum(length(b.bytes)), 0) from photograph_piece b where b.photograph_id = p.id) end,
    'measured', ${MEASURED})`;
