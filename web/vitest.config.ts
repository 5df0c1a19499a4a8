import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  define: { __BUILD__: JSON.stringify('test') },
  plugins: [react()],
  test: {
    // A machine that does other things as well is slow, not wrong.
    testTimeout: 30_000,
    projects: [
      { extends: true, test: { name: 'rules', include: ['src/**/*.test.ts'], environment: 'node' } },
      {
        extends: true,
        test: {
          name: 'parts',
          include: ['src/**/*.test.tsx'],
          environment: 'jsdom',
          // Each file clears away what it changed, see setup.ts: a page of its own for each takes thrice as long.
          isolate: false,
          setupFiles: ['src/kit/testing/setup.ts'],
        },
      },
    ],
  },
});
