import { type ComponentType, lazy, type ReactNode, Suspense } from 'react';

/**
 * A part that is fetched when it is first drawn, so that the first screen does not wait for it.
 * Until it is there something else stands in its place, or nothing. What is likely to come soon
 * is fetched ahead, when nothing else is to be done.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, meanwhile: ReactNode = null) {
  const Part = lazy(async () => ({ default: await load() }));
  function Later(props: P) {
    return (
      <Suspense fallback={meanwhile}>
        <Part {...props} />
      </Suspense>
    );
  }
  const ahead = () => {
    const idle = window.requestIdleCallback ?? ((then: () => void) => window.setTimeout(then, 1000));
    idle(() => void load().catch(() => undefined)); // what does not come is fetched again when it is drawn
  };
  return Object.assign(Later, { ahead });
}
