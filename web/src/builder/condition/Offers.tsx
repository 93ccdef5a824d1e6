import { Box, Flex } from '@chakra-ui/react';
import type { Offer } from '../../api/client';

interface OffersProps {
  id: string;
  offers: Offer[];
  lit: number;
  onTake: (o: Offer) => void;
  onLight: (i: number) => void;
}

/** What could stand where the cursor is. */
export function Offers(p: OffersProps) {
  return (
    <Box
      id={p.id}
      role="listbox"
      aria-label="What could stand here"
      mt="4px"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="4px"
      bg="plate"
    >
      {p.offers.map((o, i) => (
        <Flex
          key={o.text}
          id={`${p.id}.${i}`}
          role="option"
          aria-selected={i === p.lit}
          gap="12px"
          px="10px"
          py="2px"
          bg={i === p.lit ? 'amberSoft' : undefined}
          cursor="pointer"
          onPointerDown={(e) => {
            e.preventDefault(); // the field keeps the focus
            p.onTake(o);
          }}
          onMouseMove={() => p.onLight(i)}
        >
          <Box fontFamily="mono" fontSize="14px" whiteSpace="nowrap">
            {o.text}
          </Box>
          <Box fontSize="note" color="muted" flex="1" truncate textAlign="right">
            {o.words}
          </Box>
        </Flex>
      ))}
    </Box>
  );
}
