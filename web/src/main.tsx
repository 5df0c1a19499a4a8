import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { queryClient } from './api/house';
import { theme } from './kit/theme';
import { Waiting } from './kit/Page';

// A taster's phone, and whoever is shown a page, load nothing of the house, and the house nothing of them.
const House = lazy(() => import('./shell/House').then((shell) => ({ default: shell.House })));
const TablePage = lazy(() => import('./table/TablePage'));
const SharedTrialPage = lazy(() => import('./share/SharedTrialPage'));
const SharedPiecePage = lazy(() => import('./share/SharedPiecePage'));

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        <QueryClientProvider client={queryClient}>
          {/* Fields whose value is the address must not lag behind what is typed into them. */}
          <BrowserRouter useTransitions={false}>
            <Suspense fallback={<Waiting />}>
              <Routes>
                <Route path="/t/:token" element={<TablePage />} />
                <Route path="/s/trial/:token" element={<SharedTrialPage />} />
                <Route path="/s/piece/:token" element={<SharedPiecePage />} />
                <Route path="*" element={<House />} />
              </Routes>
            </Suspense>
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
