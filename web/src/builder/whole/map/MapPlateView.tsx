import { memo } from 'react';
import type { MapPlate, MapWire } from '../../../api/client';
import { Glyph } from '../../../ui/Glyph';
import './map.css';

interface PlateProps {
  plate: MapPlate;
  w: number;
  h: number;
  findings: number;
  chosen: boolean;
  second: boolean;
  lit: boolean; // something that is chosen leads to it, or from it
  dim: boolean;
  near: MapWire[] | undefined; // its ways, where one is near enough to read them
  titles: (id: string) => string;
  reachable: boolean; // by Tab
}

const says: Record<string, string> = {
  start: 'the start',
  sure: 'surely reached',
  given: 'reached, given what has to be there',
  maybe: 'maybe reached',
  'by itself': 'comes by itself',
  'by address': 'by address only',
  never: 'no way leads here',
};

/** A screen on the map. */
export const MapPlateView = memo(function MapPlateView(p: PlateProps) {
  const { plate, findings } = p;
  const note = plate.rail ? 'rail' : plate.trapped ? `${plate.type} · no way back` : plate.type;
  const said = `${plate.title}, ${plate.rail ? 'a rail' : says[plate.kind]}${plate.trapped ? ', no proven way back' : ''}${findings ? `, ${findings} findings` : ''}`;
  return (
    <button
      type="button"
      className="map-plate"
      style={{ left: plate.x, top: plate.y, width: p.w, height: p.h }}
      data-plate={plate.id}
      data-kind={plate.rail ? 'rail' : plate.kind}
      data-chosen={p.chosen || p.second}
      data-lit={p.lit}
      data-dim={p.dim}
      data-near={!!p.near}
      data-trapped={plate.trapped}
      aria-label={said}
      aria-pressed={p.chosen || p.second}
      tabIndex={p.reachable ? 0 : -1}
    >
      <span className="map-plate-inside">
        <Glyph name={plate.type} size={15} />
        <span className="map-plate-words">
          <span className="map-plate-title">{plate.title}</span>
          {p.near ? (
            <span className="map-plate-ways">
              {p.near.slice(0, 3).map((w) => (
                <span key={w.to}>
                  {w.words?.[0]} → {p.titles(w.to)}
                  {w.n > 1 && `, and ${w.n - 1} more`}
                </span>
              ))}
              {p.near.length > 3 && <span>{p.near.length - 3} more</span>}
            </span>
          ) : (
            <span className="map-plate-note">{note}</span>
          )}
        </span>
        {findings > 0 && <span className="map-plate-badge">{findings}</span>}
      </span>
      {!plate.rail && <span className="map-notch" data-notch={plate.id} title="Pull to a plate: a way there" />}
    </button>
  );
});
