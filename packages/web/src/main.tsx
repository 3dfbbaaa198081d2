import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/newsreader/wght.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter } from 'react-router';
import { MessageHost } from './frame/MessageHost';
import { Refused } from './api/client';
import { keepShell } from './frame/keepShell';
import { Screens } from './frame/Screens';
import { startDevice } from './outbox/thisDevice';
import { ACCESS_KEY } from './studio/access';
import { followStudio } from './studio/follow';
import { keepAnswers, showKept } from './studio/keepForBench';
import { StudioTheme } from './theme/StudioTheme';

const isRefusal = (error: unknown): boolean => error instanceof Refused && error.status < 500;
const queries: QueryClient = new QueryClient({
  queryCache: new QueryCache({
    onError(error) {
      if (error instanceof Refused && error.status === 401)
        void queries.invalidateQueries({ queryKey: ACCESS_KEY });
    },
  }),
  // The server stands in the studio, often on this very machine: whether the browser sees a network says nothing of it.
  defaultOptions: {
    // What could not be fetched is asked for again until the server is back; what was refused is said at once.
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      retry: (failures, error) => !isRefusal(error) && failures < 2,
      refetchInterval: (query) =>
        query.state.status === 'error' && !isRefusal(query.state.error) ? 4000 : false,
    },
    mutations: { networkMode: 'always' },
  },
});
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');

/** What this device kept is taken up first, then shown; what the studio says of it comes after. */
async function start(into: HTMLElement): Promise<void> {
  const database = await startDevice();
  if (database) await showKept(queries, database);
  keepAnswers(queries, database);
  followStudio(queries);
  createRoot(into).render(
    <StrictMode>
      <StudioTheme>
        <QueryClientProvider client={queries}>
          <BrowserRouter>
            <Screens />
          </BrowserRouter>
          <MessageHost />
        </QueryClientProvider>
      </StudioTheme>
    </StrictMode>,
  );
}
void start(root);
keepShell();
