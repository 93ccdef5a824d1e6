import { memo, type ReactNode, useId, useState } from 'react';
import type { ButtonView } from '../../api/client';
import { Glyph } from '../../ui/Glyph';
import { PlateShape } from '../../ui/PlateShape';
import { groundOf, inkOf } from '../../ui/theme/style';
import { useBusy, useScreen } from '../context';
import { Choices } from './Choices';
import type { ElementKind, OfKind } from './kind';
import { useHold, useLease } from './useHold';

/** A button: acts on release, so that sliding off cancels, or on press where the project says so. */
export const button: ElementKind<'button'> = {
  Draw: function Button({ element }) {
    return <DrawnButton element={element} waits={useBusy() === element.id} />;
  },
  stale: (e, reason) =>
    e.button.writes
      ? { ...e, state: 'greyed', reason, button: { ...e.button, turned: e.button.turned && 'unknown' } }
      : e,
};

const DrawnButton = memo(function DrawnButton({ element, waits }: { element: OfKind<'button'>; waits: boolean }) {
  const drawn = element.button;
  const { onPress, base, builder } = useScreen();
  const tipId = useId();
  const shut = element.state !== 'shown';
  const { state, watch } = useFaceState(drawn, shut);
  const button = faced(drawn, state);
  const { tone } = button;
  const own = shut ? undefined : button.colour;
  const press = () => {
    if (!shut && !waits) void onPress(element, drawn.turned ? { seen: drawn.turned } : undefined);
  };
  const byPress = button.trigger === 'press';
  const way = useHold(element, drawn.down && !waits);
  const lease = useLease(element, drawn.held && !shut);
  const hold = way ?? lease;
  const href = shut || builder || drawn.down ? undefined : (button.leave ?? (button.href && base + button.href));
  const tip = shut ? element.reason : button.tip || (button.keys && !button.tip ? button.keys : undefined);
  const Face = href ? 'a' : 'button';
  if (drawn.choices) {
    return (
      <Reasoned reason={tip} id={tipId} steady={drawn.writes}>
        <Choices element={element} button={drawn} shut={shut} waits={waits} />
      </Reasoned>
    );
  }
  return (
    <Reasoned reason={tip} id={tipId} steady={drawn.writes}>
      <Face
        {...(href ? { href } : { type: 'button' as const })}
        className="face"
        data-tone={tone}
        style={
          own
            ? {
                color: inkOf(own),
                ...(tone === 'sign' ? {} : { background: groundOf(own), borderColor: groundOf(own) }),
              }
            : undefined
        }
        aria-disabled={(shut && !drawn.down) || waits || undefined}
        aria-describedby={tip ? tipId : undefined}
        aria-keyshortcuts={button.keys?.replace('Ctrl', 'Control')}
        aria-pressed={drawn.turned && drawn.turned !== 'unknown' ? drawn.turned === 'on' : undefined}
        aria-current={button.current ? 'page' : undefined}
        aria-label={button.picture && !button.words ? button.picture.words : undefined}
        {...watch}
        {...hold}
        onPointerDown={(e: React.PointerEvent) => {
          watch?.onPointerDown();
          hold?.onPointerDown(e);
          if (byPress && !lease && e.button === 0) press();
        }}
        onClick={(e: React.MouseEvent) => {
          if (href && (e.ctrlKey || e.metaKey || e.shiftKey || e.button !== 0)) return;
          e.preventDefault();
          if (drawn.down || drawn.held) return; // what was let go has been told
          // A click made by the keyboard has no pointer before it.
          if (!byPress || e.detail === 0) press();
        }}
      >
        {tone === 'sign' && <PlateShape bg={own ? groundOf(own) : shut ? 'ghost' : 'plate'} edge="rule" point={22} />}
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

const howTurned = { on: 'on', off: 'off', unknown: 'not known' };

function Inside({ button, sign, waits }: { button: ButtonView; sign: boolean; waits: boolean }) {
  const { pictures } = useScreen();
  const words = (waits && button.writes) || button.waiting ? 'waiting …' : button.words;
  const picture = button.picture && (
    <img className="face-picture" data-sign={sign || undefined} src={pictures + button.picture.digest} alt="" />
  );
  if (!sign) {
    return (
      <>
        {picture}
        {!picture && button.icon && button.icon !== 'forward' && <Glyph name={button.icon} size={16} />}
        {button.turned && !picture && <span className="face-turned" data-turned={button.turned} aria-hidden />}
        {words}
        {button.turned && !button.picture && <span className="face-how">{howTurned[button.turned]}</span>}
        {!picture && button.icon === 'forward' && <Glyph name="forward" size={16} />}
      </>
    );
  }
  return (
    <>
      <div className="face-glyph">{picture ?? <Glyph name={button.icon || button.plate || 'none'} size={26} />}</div>
      <div className="face-sign">
        <div className="face-words">{words}</div>
        {button.note && <div className="face-note">{button.note}</div>}
      </div>
    </>
  );
}

interface ReasonedProps {
  reason?: string;
  id: string;
  /** What is inside stays the same when there is a reason all of a sudden: it keeps the focus. */
  steady?: boolean;
  children: ReactNode;
}

/** A greyed button gives its reason, another its tip, on hover, focus and touch. */
export function Reasoned({ reason, id, steady, children }: ReasonedProps) {
  if (!reason && !steady) return children;
  return (
    <div className="reasoned">
      {children}
      {reason && (
        <div id={id} role="tooltip" className="reason">
          {reason}
        </div>
      )}
    </div>
  );
}
