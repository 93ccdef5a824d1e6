import { Box } from '@chakra-ui/react';
import { useLanguage, useScreen } from '../context';
import { Lead } from '../Lead';
import type { ElementKind, OfKind } from './kind';

/** One number, with what it was before; pressed, where it leads somewhere. */
export const total: ElementKind<'total'> = { Draw: Total, words: (e) => e.total.words };

function Total({ element }: { element: OfKind<'total'> }) {
  const { total } = element;
  const { onPress, base, builder } = useScreen();
  if (total.refused) return <Box color="muted">{total.refused}</Box>;
  if (!total.way || element.state !== 'shown') return <Told total={total} />;
  return (
    <Lead href={total.href && !builder ? base + total.href : undefined} onGo={() => void onPress(element)}>
      <Told total={total} />
    </Lead>
  );
}

function Told({ total }: { total: OfKind<'total'>['total'] }) {
  const { amount } = useLanguage();
  const { value, before, unit, words, of, then } = total;
  const by = value !== undefined && before !== undefined ? value - before : undefined;
  return (
    <Box as="span" display="block" borderTopWidth="3px" borderColor="amber" pt="8px" pb="4px">
      <Box as="span" display="block" color="muted" fontSize="note">
        {words}
        {of && `, ${of}`}
      </Box>
      <Box
        as="span"
        display="block"
        fontSize="34px"
        fontWeight="800"
        lineHeight="1.15"
        fontVariantNumeric="tabular-nums"
      >
        {value === undefined ? '–' : amount(value)}
        {unit && (
          <Box as="span" fontSize="text" fontWeight="500" color="muted">
            {' '}
            {unit}
          </Box>
        )}
      </Box>
      {then && (
        <Box as="span" display="block" fontSize="note" color="muted">
          {by === undefined
            ? `nothing in ${then}`
            : by === 0
              ? `as in ${then}`
              : `${amount(Math.abs(by))} ${by > 0 ? 'more' : 'less'} than in ${then}`}
        </Box>
      )}
    </Box>
  );
}
