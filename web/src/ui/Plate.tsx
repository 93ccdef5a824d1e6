import type { ReactNode } from 'react';
import { Glyph } from './Glyph';
import './theme/plate.css';

export type PlateTone = 'plain' | 'chosen' | 'ghost' | 'broken';

interface PlateProps {
  glyph?: string;
  title: ReactNode;
  note?: ReactNode;
  tone?: PlateTone;
  badge?: number;
}

/** How a destination looks everywhere: a sign with a pointed right end. */
export function Plate({ glyph, title, note, tone = 'plain', badge }: PlateProps) {
  return (
    <div className="plate" data-tone={tone}>
      <div className="plate-inside">
        {glyph && (
          <div className="plate-glyph">
            <Glyph name={glyph} />
          </div>
        )}
        <div className="plate-words">
          <div className="plate-title">{title}</div>
          {note && <div className="plate-note">{note}</div>}
        </div>
        {badge !== undefined && <div className="plate-badge">{badge}</div>}
      </div>
    </div>
  );
}
