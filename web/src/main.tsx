import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import 'antd/dist/reset.css';
import './look/fonts';
import './look/look.css';
import { routes } from './App';
import { applyColours, theme } from './look/theme';

applyColours();

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2000, refetchOnWindowFocus: true, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (root === null) throw new Error('The page has no root.');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <ConfigProvider theme={theme()}>
        <RouterProvider router={createBrowserRouter(routes)} />
      </ConfigProvider>
    </QueryClientProvider>
  </StrictMode>,
);
