interface TickAllProps {
  rows: string[];
  ticked: Set<string>;
  onTick: (ticked: Set<string>) => void;
  label: string;
}

/** Ticks all rows that are there, or none. */
export function TickAll({ rows, ticked, onTick, label }: TickAllProps) {
  const all = rows.length > 0 && rows.every((r) => ticked.has(r));
  return (
    <th className="row-head" style={{ width: 34 }}>
      <input
        type="checkbox"
        aria-label={`Choose all ${label.toLowerCase()} shown`}
        checked={all}
        ref={(box) => {
          if (box) box.indeterminate = !all && ticked.size > 0;
        }}
        onChange={() => onTick(all ? new Set() : new Set(rows))}
      />
    </th>
  );
}
