import { useEffect, useRef } from 'react';

interface Keys {
  onFind: () => void;
  onScreens: () => void;
  onKeys: () => void;
  onUndo: () => void;
  onRedo: () => void;
}

/** The builder's keys: Ctrl+K finds, Ctrl+B lists the screens, Ctrl+Z undoes, Ctrl+Shift+Z redoes, ? lists the keys; in a field that is typed in, the field's own undo counts. */
export function useKeys(keys: Keys) {
  const now = useRef(keys);
  now.current = keys;
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const key = e.key.toLowerCase();
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
      if (key === '?' && !typing && !(e.target instanceof HTMLSelectElement)) return now.current.onKeys();
      if (!e.ctrlKey && !e.metaKey) return;
      if (key === 'k') now.current.onFind();
      else if (key === 'b') now.current.onScreens();
      else if (key === 'z' && !typing && e.shiftKey) now.current.onRedo();
      else if (key === 'z' && !typing) now.current.onUndo();
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
