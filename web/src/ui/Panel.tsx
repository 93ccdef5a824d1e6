import { chakra } from '@chakra-ui/react';

/** What lies over the rest for a moment: a box that a chip, a heading, a row or a field opens. */
export const Panel = chakra('div', {
  base: {
    bg: 'plate',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'ink',
    borderRadius: '4px',
    boxShadow: 'lg',
    zIndex: 'popover',
    fontSize: 'text',
    fontWeight: '400',
    lineHeight: '1.4',
    textAlign: 'left',
  },
});
