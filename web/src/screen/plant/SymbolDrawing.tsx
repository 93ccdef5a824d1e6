import { useId } from 'react';
import type { SymbolView } from '../../api/client';
import { shapes } from './shapes';

interface DrawingProps {
  shape: SymbolView['shape'];
  turn?: number;
  fill?: number; // hundredths
  tone?: SymbolView['tone'];
  unknown?: boolean;
}

/** A thing of the plant, drawn: outlined, filled as its face says, with its level where it has one. */
export function SymbolDrawing({ shape, turn, fill, tone, unknown }: DrawingProps) {
  const clip = useId();
  const { body, over } = shapes[shape];
  return (
    <svg
      className="symbol-drawing"
      viewBox="0 0 64 64"
      data-tone={tone || undefined}
      data-unknown={unknown || undefined}
      aria-hidden
    >
      <g transform={turn ? `rotate(${turn} 32 32)` : undefined}>
        <path className="symbol-body" d={body} />
        {over && <path className="symbol-over" d={over} />}
      </g>
      {fill !== undefined && (
        <>
          <clipPath id={clip}>
            <path d={body} transform={turn ? `rotate(${turn} 32 32)` : undefined} />
          </clipPath>
          <rect
            className="symbol-level"
            clipPath={`url(#${clip})`}
            x="0"
            y={64 - 0.58 * fill - 3}
            width="64"
            height="64"
          />
        </>
      )}
    </svg>
  );
}
