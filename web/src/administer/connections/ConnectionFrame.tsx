import type { ConnectionInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { Frame } from '../../ui/Frame';
import { Asked } from '../Asked';
import { Told } from '../Told';
import type { Keeping } from './keeping';

interface FrameProps {
  kind: 'database' | 'plant';
  was: ConnectionInfo | undefined;
  name: string;
  hint: string;
  onName: (name: string) => void;
  keeping: Keeping;
  onClose: () => void;
  children: React.ReactNode;
}

/** The dialog of a connection: what it is called, what is asked of its kind, trying it and keeping it. */
export function ConnectionFrame({ kind, was, name, hint, onName, keeping, onClose, children }: FrameProps) {
  const { attempt, keep, busy, trying, kept, tried, wrong, words } = keeping;
  return (
    <Frame
      title={was ? `Change ${was.name}` : `Add a ${kind}`}
      told
      stays
      width="640px"
      onClose={onClose}
      foot={
        <>
          <Action onClick={onClose}>{kept ? 'Close' : 'Cancel'}</Action>
          <Action onClick={() => attempt()} disabled={busy}>
            {trying ? 'Trying …' : 'Try it'}
          </Action>
          <Action tone="main" onClick={() => keep()} disabled={busy || (kept && !tried?.no)}>
            Keep it
          </Action>
        </>
      }
    >
      <Asked
        label="What it is called here"
        value={name}
        onChange={onName}
        hint={hint}
        wrong={wrong.name}
        first={!was}
        readOnly={was !== undefined}
      />
      {children}
      <Told words={words} />
    </Frame>
  );
}
