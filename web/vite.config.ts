import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    vue(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'service-worker',
      filename: 'service-worker.ts',
      injectRegister: false,
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        // Charts are the largest part; without them a bag cannot be looked at.
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
      manifest: {
        name: 'Tasche',
        short_name: 'Tasche',
        description: 'Bag spec sheets, and which clubs to carry where',
        start_url: '/roster',
        display: 'standalone',
        background_color: '#f3eee3',
        theme_color: '#17545e',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
    }),
    // Once, as small as it gets, rather than again for every reader.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|html|svg)$/, threshold: 1000 }),
  ],
  resolve: {
    alias: [
      { find: /^fflate$/, replacement: fileURLToPath(new URL('src/files/unzip-here.ts', import.meta.url)) },
    ],
  },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      // Many small files of what most pages use are slower to fetch than one.
      output: {
        codeSplitting: { groups: [{ name: 'parts', minShareCount: 20 }] },
        // Chromium then compiles a file while it arrives, beside the page, rather than each function when it is
        // first called, which held pages up. Others take it for a comment.
        postBanner: '//# allFunctionsCalledOnLoad',
      },
    },
  },
  server: { host: '127.0.0.1', port: 4311, proxy: { '/api': 'http://127.0.0.1:4310' } },
});
