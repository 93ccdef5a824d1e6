import type { ReactNode } from 'react';
import { Frame } from '../ui/Frame';

interface AskProps {
  title: string;
  answers?: ReactNode; // buttons, the main one first
  onClose: () => void;
  children: ReactNode;
}

/** Asks before anything is done. Escape means no. */
export function AskDialog({ title, answers, onClose, children }: AskProps) {
  return (
    <Frame as="question" title={title} told foot={answers} onClose={onClose}>
      {children}
    </Frame>
  );
}
