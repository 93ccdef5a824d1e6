import type { ReactNode } from 'react';
import { Action } from '../ui/controls';
import { Frame } from '../ui/Frame';

interface OverlayProps {
  as: string;
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** A screen as a dialog or drawer over another. */
export function Overlay({ as, title, onClose, children }: OverlayProps) {
  const foot = <Action onClick={onClose}>Close</Action>;
  return (
    <Frame as={as === 'drawer' ? 'drawer' : 'dialog'} title={title} width="1060px" stays foot={foot} onClose={onClose}>
      {children}
    </Frame>
  );
}
