import { lazy, Suspense } from 'react';
import { Waiting } from '../../ui/Message';
import { useWhole, type Whole, WholeProvider } from './context';
import { FindingsPage } from './FindingsPage';
import { HistoryPage } from './history/HistoryPage';
import { ReachPage } from './reach/ReachPage';
import { ReleasesPage } from './releases/ReleasesPage';
import { WalksPage } from './walks/WalksPage';

const MapPage = lazy(() => import('./map/MapPage').then((m) => ({ default: m.MapPage })));

/** The views of the application as a whole: map, reach, findings, walks, releases. */
export function WholeViews({ view, item, whole }: { view: string; item: string | undefined; whole: Whole }) {
  return (
    <WholeProvider value={whole}>
      <View view={view} item={item} />
    </WholeProvider>
  );
}

function View({ view, item }: { view: string; item: string | undefined }) {
  const { walked, as } = useWhole();
  if (view === 'reach') return <ReachPage item={item} />;
  if (view === 'findings') return <FindingsPage />;
  if (view === 'releases')
    return item?.startsWith('history') ? <HistoryPage item={item} /> : <ReleasesPage item={item} />;
  if (view === 'walks') return <WalksPage item={item} />;
  return (
    <Suspense fallback={<Waiting what="Drawing the map …" />}>
      <MapPage key={walked} item={item} as={as} />
    </Suspense>
  );
}
