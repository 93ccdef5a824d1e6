import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Line } from '../../ui/controls';

interface NewLineProps {
  label: string;
  hint: string;
  name: string;
  onName: (name: string) => void;
  onSubmit: () => void;
  children: ReactNode;
}

/** The last line of a page of named things: a further one, by its name. */
export function NewLine({ label, hint, name, onName, onSubmit, children }: NewLineProps) {
  return (
    <Flex
      as="form"
      align="center"
      gap="8px"
      py="14px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        onSubmit();
      }}
    >
      <Line aria-label={label} placeholder={hint} value={name} w="240px" onChange={(e) => onName(e.target.value)} />
      {children}
    </Flex>
  );
}
