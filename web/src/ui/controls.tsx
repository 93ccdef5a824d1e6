import { Box, type BoxProps, chakra } from '@chakra-ui/react';

/** A plain button of the interface itself (not of a project). */
export const Action = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '6px',
    px: '12px',
    minH: '32px',
    fontSize: 'note',
    fontWeight: '700',
    bg: 'plate',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'rule',
    borderRadius: '4px',
    cursor: 'pointer',
    _hover: { borderColor: 'ink' },
    _disabled: {
      color: 'muted',
      bg: 'transparent',
      cursor: 'not-allowed',
      borderStyle: 'dashed',
      _hover: { borderColor: 'rule' },
    },
  },
  variants: {
    tone: {
      plain: {},
      main: {
        bg: 'pine',
        color: 'white',
        borderColor: 'pine',
        _dark: { color: 'paper', _disabled: { color: 'muted' } },
        _disabled: { color: 'muted', bg: 'transparent', borderColor: 'rule' },
      },
      quiet: { borderColor: 'transparent', bg: 'transparent', px: '8px' },
      bad: { color: 'brick', borderColor: 'brick' },
    },
  },
  defaultVariants: { tone: 'plain' },
});

/** One line to write in. */
export const Line = chakra('input', {
  base: {
    w: 'full',
    minH: '34px',
    px: '10px',
    bg: 'plate',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'rule',
    borderRadius: 'var(--corner, 4px)',
    fontSize: 'text',
    _hover: { borderColor: 'muted' },
    _invalid: { borderColor: 'brick' },
  },
});

/** Choose one of few. */
export const Select = chakra('select', {
  base: {
    minH: '34px',
    px: '8px',
    bg: 'plate',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'rule',
    borderRadius: 'var(--corner, 4px)',
    fontSize: 'text',
    maxW: 'full',
  },
});

/** A key, as it stands on a keyboard. */
export function Key(props: BoxProps) {
  return (
    <Box
      as="kbd"
      fontFamily="mono"
      fontSize="12px"
      px="6px"
      py="1px"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="3px"
      bg="plate"
      {...props}
    />
  );
}
