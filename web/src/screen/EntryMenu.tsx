import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { createPortal } from 'react-dom';
import type { EntryView } from '../api/client';
import { Panel } from '../ui/Panel';

interface MenuProps {
  label: string;
  entries: EntryView[];
  at: DOMRect;
  base: string; // what addresses of plain links begin with; "" for a builder
  onChoose: (entry: EntryView) => void;
  onClose: () => void;
}

/** The menu of a row or a point. A greyed line says why. */
export default function EntryMenu({ label, entries, at, base, onChoose, onClose }: MenuProps) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    box.current?.querySelector<HTMLElement>('[role=menuitem]')?.focus();
    const away = (e: Event) => e.target instanceof Node && !box.current?.contains(e.target) && onClose();
    document.addEventListener('pointerdown', away);
    return () => {
      document.removeEventListener('pointerdown', away);
      if (before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
    };
  }, [onClose]);
  const onKey = (e: React.KeyboardEvent) => {
    const items = [...(box.current?.querySelectorAll<HTMLElement>('[role=menuitem]') ?? [])];
    const here = items.findIndex((i) => i.matches(':focus'));
    const to: Record<string, number> = { ArrowDown: here + 1, ArrowUp: here - 1, Home: 0, End: items.length - 1 };
    const next = to[e.key];
    if (next !== undefined) items[(next + items.length) % items.length]?.focus();
    else if (e.key === 'Escape' || e.key === 'Tab') onClose();
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return createPortal(
    <Panel
      ref={box}
      role="menu"
      aria-label={label}
      position="fixed"
      left={`${Math.min(at.left, window.innerWidth - 280)}px`}
      {...(at.bottom + entries.length * 44 > window.innerHeight
        ? { bottom: `${window.innerHeight - at.top + 4}px` }
        : { top: `${at.bottom + 4}px` })}
      minW="200px"
      maxW="270px"
      py="6px"
      onKeyDown={onKey}
    >
      {entries.map((e) => {
        const shut = e.state === 'greyed';
        const link = !shut && e.href && base;
        return (
          <Box
            as={link ? 'a' : 'button'}
            {...(link ? { href: base + e.href } : { type: 'button' })}
            key={e.id}
            role="menuitem"
            tabIndex={-1}
            aria-disabled={shut || undefined}
            display="block"
            w="full"
            px="14px"
            py="7px"
            textAlign="left"
            fontWeight="600"
            color={shut ? 'muted' : 'ink'}
            cursor={shut ? 'not-allowed' : 'pointer'}
            _hover={{ bg: 'faint' }}
            _focusVisible={{ bg: 'faint' }}
            onClick={(event: React.MouseEvent) => {
              if (link && (event.ctrlKey || event.metaKey || event.shiftKey)) return;
              event.preventDefault();
              if (!shut) onChoose(e);
            }}
          >
            {e.words}
            {shut && e.reason && (
              <Box fontSize="note" fontWeight="400">
                {e.reason}
              </Box>
            )}
          </Box>
        );
      })}
    </Panel>,
    document.querySelector('[role=dialog][data-state=open]') ?? document.body,
  );
}
