type Held = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>;

/** Whether a key event is a shortcut like Ctrl+E, Alt+Shift+N or F8. */
export function isKeys(e: Held, keys: string): boolean {
  const parts = keys.split('+');
  const key = parts.pop() ?? '';
  const held = (name: string) => parts.includes(name);
  return (
    e.key.toLowerCase() === key.toLowerCase() &&
    (e.ctrlKey || e.metaKey) === held('Ctrl') &&
    e.altKey === held('Alt') &&
    e.shiftKey === held('Shift')
  );
}
