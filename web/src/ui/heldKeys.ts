type Key = Pick<KeyboardEvent, 'key' | 'repeat' | 'ctrlKey' | 'metaKey' | 'altKey'>;

/** What is written in: one line, several, or nothing. */
export type Writing = 'line' | 'lines' | undefined;

/** Keys that edit a text or go along something: holding one is meant to go on. */
const goesOn = /^(Arrow|Page|Tab$|Home$|End$|Backspace$|Delete$)/;

/** Those that edit a text together with Ctrl: undo, redo, paste. */
const editing = /^(Arrow|Backspace$|Delete$|Home$|End$|[zyv]$)/i;

/**
 * Whether a key event only says that a key is still held, and is not to do what it did once more:
 * one press for each key that goes down. Going along a list and writing go on while a key is held.
 */
export function isStillHeld(e: Key, writing: Writing): boolean {
  if (!e.repeat) return false;
  const shortcut = e.ctrlKey || e.metaKey;
  if (e.key === 'Enter') return writing !== 'lines' || shortcut || e.altKey;
  if (e.altKey) return true;
  if (shortcut) return !(writing && editing.test(e.key));
  return !writing && !goesOn.test(e.key);
}

/** Lets no held key press anything a second time, anywhere in the page. */
export function pressOncePerKey() {
  window.addEventListener(
    'keydown',
    (e) => {
      if (!isStillHeld(e, writingIn(e.target))) return;
      e.preventDefault();
      e.stopImmediatePropagation();
    },
    true,
  );
}

function writingIn(target: EventTarget | null): Writing {
  if (!(target instanceof HTMLElement)) return undefined;
  if (target instanceof HTMLTextAreaElement || target.isContentEditable) return 'lines';
  const buttons = ['button', 'submit', 'reset', 'checkbox', 'radio', 'file', 'image', 'color', 'range'];
  return target instanceof HTMLInputElement && !buttons.includes(target.type) ? 'line' : undefined;
}
