/**
 * A gate line may want several numbers, each at a place of its own: what was typed before stands at the first. A line that wants
 * more now is open again until they are read.
 */
const firstPoint: Readonly<Record<string, string>> = {
  'gate-cu-pickup': 'gap',
  'gate-cu-timing': 'first',
  'gate-cu-turns': 'most',
  'gate-ei-hv': 'point-1',
  'gate-ei-clutch': 'height',
  'gate-ei-converter': 'gap',
  'gate-fc-oil-level': 'oil',
  'gate-fc-earths': 'engine',
  'gate-fc-battery': 'rest',
  'gate-fs-oil-pressure': 'pressure',
  'gate-fs-leak': 'rail',
  'gate-fs-timing': 'base',
  'gate-fd-heat': 'first',
  'gate-fd-oil': 'idle',
  'gate-fd-charge': 'loads',
  'gate-fd-gaps': 'lines',
  'gate-fd-fumes': 'cabin',
  'gate-ho-weights': 'front',
};

export const up = `
update record set data = (data - 'reading') || case when places.point is null then '{}'::jsonb
    else jsonb_build_object('readings', jsonb_build_object(places.point, data->>'reading')) end
from (select r.key, p.point from (select distinct key from record where kind = 'gate' and data ? 'reading') r
  left join (values ${Object.entries(firstPoint)
    .map(([line, point]) => `('${line}', '${point}')`)
    .join(', ')}) p(line, point) on p.line = r.key) places
where record.kind = 'gate' and record.key = places.key and data ? 'reading';
`;
