import { Box, chakra } from '@chakra-ui/react';
import { type ReactNode, useId } from 'react';
import type { ButtonView, ElementView } from '../api/client';
import { Glyph } from '../ui/Glyph';
import { PlateShape } from '../ui/Plate';
import { useScreen } from './context';

const Face = chakra('a', {
  base: {
    position: 'relative',
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '8px',
    w: 'full',
    minH: '36px',
    px: '10px',
    fontWeight: '700',
    fontSize: 'text',
    lineHeight: '1.15',
    textAlign: 'center',
    borderWidth: '1.5px',
    borderColor: 'ink',
    borderRadius: '4px',
    bg: 'plate',
    color: 'ink',
    cursor: 'pointer',
    userSelect: 'none',
    _hover: { bg: 'faint' },
    _active: { transform: 'translateY(1px)' },
    '&[aria-disabled=true], &[aria-disabled=true]:hover': {
      color: 'muted',
      borderStyle: 'dashed',
      borderColor: 'muted',
      cursor: 'not-allowed',
      bg: 'transparent',
      transform: 'none',
    },
  },
  variants: {
    tone: {
      plain: {},
      main: { bg: 'rail', color: 'white', borderColor: 'rail', _hover: { bg: 'ink', _dark: { bg: 'rail' } } },
      strong: {
        bg: 'rail',
        color: 'white',
        borderColor: 'rail',
        minH: '48px',
        fontSize: 'head',
        _hover: { bg: 'ink', _dark: { bg: 'rail' } },
      },
      sign: {
        justifyContent: 'flex-start',
        textAlign: 'left',
        border: 'none',
        bg: 'transparent',
        px: '18px',
        minH: '72px',
        _hover: { bg: 'transparent' },
      },
    },
  },
});

type Tone = 'plain' | 'main' | 'strong' | 'sign';

/** A button: acts on release, so that sliding off cancels, or on press where the project says so. */
export function ButtonElement({ element, button }: { element: ElementView; button: ButtonView }) {
  const { onPress, busy, base, builder } = useScreen();
  const reasonId = useId();
  const shut = element.state !== 'shown';
  const waits = busy === element.id;
  const tone = (button.tone in { main: 1, strong: 1, sign: 1 } ? button.tone : 'plain') as Tone;
  const press = () => {
    if (!shut && !waits) void onPress(element);
  };
  const byPress = button.trigger === 'press';
  const link = !shut && button.href && !builder;
  return (
    <Reasoned reason={shut ? element.reason : undefined} id={reasonId}>
      <Face
        as={link ? 'a' : 'button'}
        {...(link ? { href: base + button.href } : { type: 'button' })}
        tone={tone}
        aria-disabled={shut || waits || undefined}
        aria-describedby={shut && element.reason ? reasonId : undefined}
        onPointerDown={byPress ? (e: React.PointerEvent) => e.button === 0 && press() : undefined}
        onClick={(e: React.MouseEvent) => {
          if (link && (e.ctrlKey || e.metaKey || e.shiftKey || e.button !== 0)) return;
          e.preventDefault();
          // A click made by the keyboard has no pointer before it.
          if (!byPress || e.detail === 0) press();
        }}
      >
        {tone === 'sign' && <PlateShape bg={shut ? 'ghost' : 'plate'} edge="rule" point={22} />}
        <Inside button={button} sign={tone === 'sign'} waits={waits} />
      </Face>
    </Reasoned>
  );
}

function Inside({ button, sign, waits }: { button: ButtonView; sign: boolean; waits: boolean }) {
  const words = waits && button.writes ? 'waiting …' : button.words;
  if (!sign) {
    return (
      <>
        {button.icon && button.icon !== 'forward' && <Glyph name={button.icon} size={16} />}
        {words}
        {button.icon === 'forward' && <Glyph name="forward" size={16} />}
      </>
    );
  }
  return (
    <>
      <Box position="relative" color="pine" display="flex">
        <Glyph name={button.icon || button.plate || 'none'} size={26} />
      </Box>
      <Box position="relative" pl="6px" pr="20px">
        <Box fontSize="head" fontWeight="800">
          {words}
        </Box>
        {button.note && (
          <Box fontSize="note" color="muted" fontWeight="500" mt="2px">
            {button.note}
          </Box>
        )}
      </Box>
    </>
  );
}

/** A greyed button gives its reason on hover, focus and touch. */
export function Reasoned({ reason, id, children }: { reason?: string; id: string; children: ReactNode }) {
  if (!reason) return children;
  return (
    <Box position="relative" className="group">
      {children}
      <Box
        id={id}
        role="tooltip"
        position="absolute"
        top="calc(100% + 4px)"
        left="0"
        zIndex="tooltip"
        maxW="280px"
        w="max-content"
        px="10px"
        py="6px"
        bg="rail"
        color="white"
        fontSize="note"
        borderRadius="4px"
        visibility="hidden"
        opacity={0}
        transition="opacity 120ms"
        pointerEvents="none"
        _groupHover={{ visibility: 'visible', opacity: 1 }}
        _groupFocusWithin={{ visibility: 'visible', opacity: 1 }}
      >
        {reason}
      </Box>
    </Box>
  );
}
