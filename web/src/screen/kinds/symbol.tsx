import { useScreen } from '../context';
import { Lead } from '../Lead';
import { SymbolDrawing } from '../plant/SymbolDrawing';
import { RowMark } from '../RowMark';
import type { ElementKind, OfKind } from './kind';

/** A thing of the plant: its shape, its name, and how it is with it in words and by a mark. */
export const symbol: ElementKind<'symbol'> = {
  Draw: PlantSymbol,
  known: (e) => e.symbol.state !== 'unknown',
  stale: (e, reason) => ({
    ...e,
    reason,
    symbol: { ...e.symbol, state: 'unknown', tone: undefined, says: undefined, fill: undefined },
  }),
  words: (e) => e.symbol.words || e.symbol.shape,
};

function PlantSymbol({ element }: { element: OfKind<'symbol'> }) {
  const { symbol: s, reason } = element;
  const { onPress, base, builder } = useScreen();
  const unknown = s.state === 'unknown';
  const drawn = (
    <div className="symbol" data-tall={(element.cell.h ?? 1) > 2 || undefined} title={unknown ? reason : undefined}>
      <SymbolDrawing shape={s.shape} turn={s.turn} fill={s.fill} tone={s.tone} unknown={unknown} />
      <div className="symbol-words">
        {s.words && <div className="symbol-name">{s.words}</div>}
        {(unknown || s.says) && (
          <div className="symbol-says">
            {s.tone && <RowMark face={{ tone: s.tone }} />} {unknown ? 'not available' : s.says}
          </div>
        )}
      </div>
    </div>
  );
  if (!s.way || element.state !== 'shown') return drawn;
  return (
    <Lead href={s.href && !builder ? base + s.href : undefined} onGo={() => void onPress(element)}>
      {drawn}
    </Lead>
  );
}
