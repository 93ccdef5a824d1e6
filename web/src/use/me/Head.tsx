import { Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The name of a part of one's own page. */
export function Head({ children }: { children: ReactNode }) {
  return (
    <Heading as="h2" fontSize="head" fontWeight="800" mb="8px">
      {children}
    </Heading>
  );
}
