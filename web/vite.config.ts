import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** Where './elvaro dev' runs the application. */
const server = `http://127.0.0.1:${process.env.ELVARO_HTTP_PORT ?? '8306'}`;

/** What every page of ours stands on is fetched while the page itself is still being read. */
const fetchedAtOnce: Plugin = {
  name: 'fetched-at-once',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle = {} }) =>
      Object.values(bundle)
        .filter((file) => file.type === 'chunk' && ['react', 'mui', 'mount'].includes(file.name))
        .map(({ fileName }) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${fileName}` },
          injectTo: 'head',
        })),
  },
};

export default defineConfig({
  define: { __BUILD__: JSON.stringify(process.env.ELVARO_BUILD ?? String(Date.now())) },
  plugins: [
    react(),
    fetchedAtOnce,
    // Packed once as well as can be, rather than at every request.
    compression({ algorithms: ['brotliCompress'], include: /assets\/.*\.(js|css)$/ }),
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
      // One worker for what is kept and for messages that come.
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  build: {
    // Straight into the archive, emptied first: nothing of an earlier build stays in it.
    outDir: 'target/classes/META-INF/resources',
    emptyOutDir: true,
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
