import '@fontsource-variable/overpass';
import '@fontsource-variable/overpass-mono';
import 'virtual:base.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { pressOncePerKey } from './ui/heldKeys';
import { beginAppearance } from './ui/theme/appearance';
import { kept } from './ui/theme/kept';
import { system } from './ui/theme/theme';

const router = createBrowserRouter([
  { path: '/', lazy: async () => ({ Component: (await import('./administer/StartPage')).StartPage }) },
  { path: '/me', lazy: async () => ({ Component: (await import('./use/me/MyPage')).MyPage }) },
  { path: '/first', lazy: async () => ({ Component: (await import('./administer/FirstPage')).FirstPage }) },
  { path: '/join', lazy: async () => ({ Component: (await import('./administer/JoinPage')).JoinPage }) },
  {
    path: '/connections',
    lazy: async () => ({ Component: (await import('./administer/connections/ConnectionsPage')).ConnectionsPage }),
  },
  { path: '/people', lazy: async () => ({ Component: (await import('./administer/people/PeoplePage')).PeoplePage }) },
  {
    path: '/displays',
    lazy: async () => ({ Component: (await import('./administer/people/DevicesPage')).DevicesPage }),
  },
  { path: '/display', lazy: async () => ({ Component: (await import('./administer/DisplayPage')).DisplayPage }) },
  { path: '/log', lazy: async () => ({ Component: (await import('./administer/ProgramLogPage')).ProgramLogPage }) },
  {
    path: '/new',
    lazy: async () => ({ Component: (await import('./administer/making/NewApplicationPage')).NewApplicationPage }),
  },
  { path: '/use/:project/*', lazy: async () => ({ Component: (await import('./use/UsePage')).UsePage }) },
  {
    path: '/build/:project/:view?/:item?',
    lazy: async () => ({ Component: (await import('./builder/BuildPage')).BuildPage }),
  },
  { path: '*', lazy: async () => ({ Component: (await import('./administer/StartPage')).StartPage }) },
]);

const queries = new QueryClient({
  defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false, staleTime: 5_000 } },
});

pressOncePerKey();
beginAppearance();

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ChakraProvider value={kept(system)}>
        <QueryClientProvider client={queries}>
          <RouterProvider router={router} />
        </QueryClientProvider>
      </ChakraProvider>
    </StrictMode>,
  );
}
