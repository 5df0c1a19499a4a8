import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Where './elvaro dev' runs the application. */
const server = `http://127.0.0.1:${process.env.ELVARO_HTTP_PORT ?? '8306'}`;

export default defineConfig({
  plugins: [react()],
  build: {
    chunkSizeWarningLimit: 800,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|react-router|scheduler)[\\/]/ },
            {
              name: 'mui',
              test: /node_modules[\\/](@mui[\\/](material|system|utils|styled-engine)|@emotion)[\\/]/,
            },
          ],
        },
      },
    },
  },
  server: { proxy: Object.fromEntries(['/api', '/taste', '/shared', '/calendar'].map((path) => [path, server])) },
});
