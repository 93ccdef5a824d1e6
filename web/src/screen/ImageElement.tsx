import type { ElementView, ImageView } from '../api/client';
import { useScreen } from './context';
import { Lead } from './Lead';

/** A picture of the project. Where it leads somewhere, it is pressed like a button. */
export function ImageElement({ element, image }: { element: ElementView; image: ImageView }) {
  const { pictures, onPress, base, builder } = useScreen();
  if (!image.digest) return <div className="field-error">{image.words}</div>;
  const drawn = <img className="image" src={pictures + image.digest} alt={image.words} />;
  if (!image.way || element.state !== 'shown') return drawn;
  return (
    <Lead href={image.href && !builder ? base + image.href : undefined} onGo={() => void onPress(element)}>
      {drawn}
    </Lead>
  );
}
