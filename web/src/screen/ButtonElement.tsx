import { Box, chakra } from '@chakra-ui/react';
import { memo, type ReactNode, useId, useState } from 'react';
import type { ButtonView, ElementView } from '../api/client';
import { Glyph } from '../ui/Glyph';
import { inkOn } from '../ui/inkOn';
import { PlateShape } from '../ui/PlateShape';
import { useBusy, useScreen } from './context';

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
        '&[aria-disabled=true], &[aria-disabled=true]:hover': { borderStyle: 'none' },
      },
      rail: {
        justifyContent: 'flex-start',
        textAlign: 'left',
        minH: '46px',
        border: 'none',
        borderRadius: '4px 0 0 4px',
        bg: 'transparent',
        lineHeight: '1.1',
        _hover: { bg: 'plate' },
        '&[aria-disabled=true], &[aria-disabled=true]:hover': { borderStyle: 'none' },
        '&[aria-current]': { bg: 'plate', boxShadow: 'inset 4px 0 0 {colors.pine}', color: 'pine' },
      },
      quiet: { borderColor: 'transparent', bg: 'transparent' },
      good: { bg: 'pineSoft', borderColor: 'pine', color: 'pine', _hover: { bg: 'pineSoft' } },
      warn: { bg: 'amberSoft', borderColor: 'amber', color: 'amberText', _hover: { bg: 'amberSoft' } },
      stop: { bg: 'brick', borderColor: 'brick', color: 'white', _hover: { bg: 'brick' } },
      unknown: { borderStyle: 'dashed', borderColor: 'plum', color: 'plum', bg: 'transparent' },
    },
  },
});

type Tone = 'plain' | 'main' | 'strong' | 'sign' | 'rail' | 'quiet' | 'good' | 'warn' | 'stop' | 'unknown';

/** A button: acts on release, so that sliding off cancels, or on press where the project says so. */
export function ButtonElement(p: { element: ElementView; button: ButtonView }) {
  const waits = useBusy() === p.element.id;
  return <DrawnButton {...p} waits={waits} />;
}

const DrawnButton = memo(function DrawnButton(p: { element: ElementView; button: ButtonView; waits: boolean }) {
  const { element, button: drawn, waits } = p;
  const { onPress, base, builder } = useScreen();
  const tipId = useId();
  const shut = element.state !== 'shown';
  const { state, watch } = useFaceState(drawn, shut);
  const button = faced(drawn, state);
  const tone = button.tone as Tone;
  const own = shut ? undefined : button.colour;
  const press = () => {
    if (!shut && !waits) void onPress(element);
  };
  const byPress = button.trigger === 'press';
  const href = shut || builder ? undefined : (button.leave ?? (button.href && base + button.href));
  const tip = shut ? element.reason : button.tip || (button.keys && !button.tip ? button.keys : undefined);
  return (
    <Reasoned reason={tip} id={tipId}>
      <Face
        as={href ? 'a' : 'button'}
        {...(href ? { href } : { type: 'button' })}
        tone={tone}
        style={
          own ? { color: inkOn(own), ...(tone === 'sign' ? {} : { background: own, borderColor: own }) } : undefined
        }
        aria-disabled={shut || waits || undefined}
        aria-describedby={tip ? tipId : undefined}
        aria-keyshortcuts={button.keys?.replace('Ctrl', 'Control')}
        aria-current={button.current ? 'page' : undefined}
        aria-label={button.picture && !button.words ? button.picture.words : undefined}
        {...watch}
        onPointerDown={(e: React.PointerEvent) => {
          watch?.onPointerDown();
          if (byPress && e.button === 0) press();
        }}
        onClick={(e: React.MouseEvent) => {
          if (href && (e.ctrlKey || e.metaKey || e.shiftKey || e.button !== 0)) return;
          e.preventDefault();
          // A click made by the keyboard has no pointer before it.
          if (!byPress || e.detail === 0) press();
        }}
      >
        {tone === 'sign' && <PlateShape bg={own ?? (shut ? 'ghost' : 'plate')} edge="rule" point={22} />}
        <Inside button={button} sign={tone === 'sign'} waits={waits} />
      </Face>
    </Reasoned>
  );
});

/** The state that decides between a button's faces; watched only where it has faces of states. */
function useFaceState(button: ButtonView, shut: boolean) {
  const [over, setOver] = useState(false);
  const [down, setDown] = useState(false);
  const [focus, setFocus] = useState(false);
  if (!button.states) return { state: undefined, watch: undefined };
  const watch = {
    onPointerEnter: () => setOver(true),
    onPointerLeave: () => {
      setOver(false);
      setDown(false);
    },
    onPointerDown: () => setDown(true),
    onPointerUp: () => setDown(false),
    onPointerCancel: () => setDown(false),
    onFocus: () => setFocus(true),
    onBlur: () => setFocus(false),
  };
  const state = shut ? 'greyed' : down ? 'pressed' : over ? 'hover' : focus ? 'focus' : undefined;
  return { state, watch };
}

/** A button with the face of a state over the one that is shown. */
function faced(button: ButtonView, state: string | undefined): ButtonView {
  const face = state ? button.states?.[state] : undefined;
  if (!face) return button;
  return {
    ...button,
    words: face.words || button.words,
    icon: face.icon || button.icon,
    tone: face.tone || button.tone,
    colour: face.tone || face.colour ? face.colour : button.colour,
    picture: face.picture ?? button.picture,
  };
}

function Inside({ button, sign, waits }: { button: ButtonView; sign: boolean; waits: boolean }) {
  const { pictures } = useScreen();
  const words = waits && button.writes ? 'waiting …' : button.words;
  const picture = button.picture && (
    <img src={pictures + button.picture.digest} alt="" style={{ maxHeight: sign ? 48 : 30, maxWidth: '100%' }} />
  );
  if (!sign) {
    return (
      <>
        {picture}
        {!picture && button.icon && button.icon !== 'forward' && <Glyph name={button.icon} size={16} />}
        {words}
        {!picture && button.icon === 'forward' && <Glyph name="forward" size={16} />}
      </>
    );
  }
  return (
    <>
      <Box position="relative" color="pine" display="flex">
        {picture ?? <Glyph name={button.icon || button.plate || 'none'} size={26} />}
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

/** A greyed button gives its reason, another its tip, on hover, focus and touch. */
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
