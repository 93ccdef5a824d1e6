import { useScreen } from '../context';
import { Lead } from '../Lead';
import type { ElementKind } from './kind';

/** A picture of the project. Where it leads somewhere, it is pressed like a button. */
export const image: ElementKind<'image'> = {
  Draw: function Image({ element }) {
    const { image } = element;
    const { pictures, onPress, base, builder } = useScreen();
    if (!image.digest) return <div className="field-error">{image.words}</div>;
    const drawn = <img className="image" src={pictures + image.digest} alt={image.words} />;
    if (!image.way || element.state !== 'shown') return drawn;
    return (
      <Lead href={image.href && !builder ? base + image.href : undefined} onGo={() => void onPress(element)}>
        {drawn}
      </Lead>
    );
  },
};
