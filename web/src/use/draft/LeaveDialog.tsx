import { Action } from '../../ui/controls';
import { AskDialog } from '../AskDialog';

/** Asks what is to become of what was typed, before a screen is left by the browser or the strip. */
export function LeaveDialog({ onAnswer }: { onAnswer: (how: 'keep' | 'forget' | 'stay') => void }) {
  const answers = (
    <>
      <Action tone="main" onClick={() => onAnswer('keep')}>
        Keep it for later
      </Action>
      <Action tone="bad" onClick={() => onAnswer('forget')}>
        Discard it
      </Action>
      <Action onClick={() => onAnswer('stay')}>Cancel</Action>
    </>
  );
  return (
    <AskDialog title="Not saved yet" answers={answers} onClose={() => onAnswer('stay')}>
      What you typed is not saved. It can wait for you here: you find it again when you come back to this screen.
    </AskDialog>
  );
}
