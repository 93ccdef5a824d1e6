import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useScreen } from '../context';
import type { ElementKind, OfKind } from './kind';

/** A clip of the project. Its end may be a way. */
export const clip: ElementKind<'clip'> = { Draw: Clip, words: (e) => e.clip.words };

function Clip({ element }: { element: OfKind<'clip'> }) {
  const { clip, reason } = element;
  const { pictures, onPress, builder } = useScreen();
  const [failed, setFailed] = useState<string>();
  if (!clip.digest) return <div className="field-error">{clip.words}</div>;
  if (failed === clip.digest) {
    return (
      <div className="clip-failed" role="alert">
        <b>{clip.words}</b>
        <Text>This clip cannot be played here.</Text>
        <a href={pictures + clip.digest} download>
          Keep it as a file
        </a>
      </div>
    );
  }
  return (
    <video
      className="clip"
      key={clip.digest} // another one begins anew
      src={pictures + clip.digest}
      aria-label={clip.words}
      title={reason || undefined}
      autoPlay={clip.starts && !builder}
      loop={clip.again}
      muted={clip.silent}
      controls={!clip.bare || !!builder}
      playsInline
      preload="metadata"
      onError={() => setFailed(clip.digest)}
      onEnded={() => clip.ended && void onPress(element, { trigger: 'ended' })}
    />
  );
}
