import { type ComponentType, lazy, type ReactNode, Suspense } from 'react';

/**
 * A part that is fetched when it is first drawn, so that the first screen does not wait for it.
 * Until it is there something else stands in its place, or nothing.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, meanwhile: ReactNode = null) {
  const Part = lazy(async () => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense fallback={meanwhile}>
        <Part {...props} />
      </Suspense>
    );
  };
}
