import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { StrictMode, useEffect, useSyncExternalStore } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import 'antd/dist/reset.css';
import './look/fonts';
import './look/look.css';
import { routes } from './App';
import { applyColours, dark, onTurned, theme } from './look/theme';
import { Routed } from './shared/Routed';

applyColours(dark());

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2000, refetchOnWindowFocus: true, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

const router = createBrowserRouter(routes);

/** The page in the colours that the person's system asks for, also when it turns dark meanwhile. */
function Coloured() {
  const isDark = useSyncExternalStore(onTurned, dark);
  useEffect(() => applyColours(isDark), [isDark]);
  return (
    // Lists are short enough to be drawn whole: every line is then an option to a screen reader, and none moves under a click.
    <ConfigProvider theme={theme(isDark)} virtual={false}>
      <Routed router={router} />
    </ConfigProvider>
  );
}

const root = document.getElementById('root');
if (root === null) throw new Error('The page has no root.');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <Coloured />
    </QueryClientProvider>
  </StrictMode>,
);
