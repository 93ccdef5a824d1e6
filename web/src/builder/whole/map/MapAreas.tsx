import type { ScreenMap } from '../../../api/client';
import type { View } from './view';

const apart = 28; // px from one name to the next, at the least

interface AreasProps {
  map: ScreenMap;
  view: number; // how near
  at: View;
  findings: Map<string, number>;
}

/** From far: what each area is called, how many screens it has, and how many of them have findings. */
export function MapAreas({ map, view, at, findings }: AreasProps) {
  let below = 38;
  return (
    <div style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      {map.areas.map((a) => {
        const found = map.plates.filter((p) => (p.area ?? '') === a.name && findings.has(p.id)).length;
        const top = Math.max(below, a.y * view + at.y);
        below = top + apart;
        return (
          <div key={a.name} className="map-area" style={{ top }}>
            {a.name || 'No area'} · {a.screens} {a.name === 'Rails' ? '' : a.screens === 1 ? 'screen' : 'screens'}
            {found > 0 && `, ${found} with findings`}
          </div>
        );
      })}
    </div>
  );
}
