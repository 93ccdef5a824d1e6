import { Box, Flex } from '@chakra-ui/react';
import { RowMark } from '../RowMark';
import type { PointsProps } from './Point';

/** The points of a site plan by their words, one below the other. */
export function PointList({ plan, onGo, onMore }: PointsProps) {
  const points = [...plan.points].sort((a, b) => a.words.localeCompare(b.words, undefined, { numeric: true }));
  if (points.length === 0) return <Box color="muted">There is nothing on it.</Box>;
  return (
    <Box
      as="ul"
      listStyleType="none"
      css={{ columnWidth: '240px', columnGap: '16px' }}
      aria-label={plan.label || plan.words}
    >
      {points.map((p) => (
        <Flex as="li" key={p.id} align="center" gap="6px" minH="32px" css={{ breakInside: 'avoid' }}>
          {!p.mark && <RowMark face={p.face} />}
          {p.open ? (
            <button
              type="button"
              className="lead"
              aria-pressed={plan.again && !p.mark ? (p.chosen ?? false) : undefined}
              onClick={(e) => onGo(p, e.ctrlKey || e.metaKey)}
            >
              {p.words}
            </button>
          ) : (
            <span title={p.reason}>{p.words}</span>
          )}
          {p.face?.words && (
            <Box as="span" color="muted" fontSize="note">
              {p.face.words}
            </Box>
          )}
          {p.menu && p.menu.length > 0 && (
            <button
              type="button"
              className="row-more"
              aria-haspopup="menu"
              aria-label={`More for ${p.words}`}
              onClick={(e) => onMore(p, e.currentTarget.getBoundingClientRect())}
            >
              ⋯
            </button>
          )}
        </Flex>
      ))}
    </Box>
  );
}
