import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { queryClient } from '../api/house';
import { theme } from '../kit/theme';

/** Puts an application on the page, with what every one of ours stands on. */
export function mount(application: ReactNode): void {
  const root = document.getElementById('root');
  if (root) {
    createRoot(root).render(
      <StrictMode>
        <ThemeProvider theme={theme} defaultMode="system">
          <CssBaseline />
          <QueryClientProvider client={queryClient}>
            {/* Fields whose value is the address must not lag behind what is typed into them. */}
            <BrowserRouter useTransitions={false}>{application}</BrowserRouter>
          </QueryClientProvider>
        </ThemeProvider>
      </StrictMode>,
    );
  }
}
