import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Where './elvaro dev' runs the application. */
const server = `http://127.0.0.1:${process.env.ELVARO_HTTP_PORT ?? '8306'}`;

export default defineConfig({
  define: { __BUILD__: JSON.stringify(process.env.ELVARO_BUILD ?? String(Date.now())) },
  plugins: [
    react(),
    VitePWA({
      // A new version waits until whoever is at it says so: it must not take a half-filled form away.
      registerType: 'prompt',
      includeAssets: ['mark.svg', 'touch.png'],
      manifest: {
        name: 'Elvaro',
        short_name: 'Elvaro',
        description: 'Dry-ageing, measured: what hangs, what is gone, what it gave.',
        theme_color: '#efe9dd',
        background_color: '#efe9dd',
        display: 'standalone',
        start_url: '/',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        // The server's own answers are none of the app's pages.
        navigateFallbackDenylist: [/^\/(api|taste|shared|calendar|devices|actuator)(\/|$)/],
        cleanupOutdatedCaches: true,
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
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
  server: {
    proxy: Object.fromEntries(['/api', '/taste', '/shared', '/calendar'].map((path) => [path, server])),
  },
});
