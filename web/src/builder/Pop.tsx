import { type ReactNode, useRef } from 'react';
import { Panel } from '../ui/Panel';
import { useOutside } from '../ui/useOutside';

/** A box that opens above a chip. */
export function Pop({ label, onClose, children }: { label: string; onClose: () => void; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  useOutside(box, onClose);
  return (
    <Panel
      ref={box}
      role="dialog"
      aria-label={label}
      position="fixed"
      inset="auto 0 150px" // centred without a transform: what opens in it is placed by the window
      mx="auto"
      w="fit-content"
      onKeyDown={(e: React.KeyboardEvent) => e.key === 'Escape' && onClose()}
    >
      {children}
    </Panel>
  );
}
