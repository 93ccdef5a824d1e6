import { Box } from '@chakra-ui/react';

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
    <Box
      as="th"
      w="34px"
      position="sticky"
      top="0"
      bg="paper"
      zIndex="1"
      boxShadow="inset 0 -1px 0 var(--chakra-colors-rule)"
    >
      <input
        type="checkbox"
        aria-label={`Choose all ${label.toLowerCase()} shown`}
        checked={all}
        ref={(box) => {
          if (box) box.indeterminate = !all && ticked.size > 0;
        }}
        onChange={() => onTick(all ? new Set() : new Set(rows))}
      />
    </Box>
  );
}
