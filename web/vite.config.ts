import { createRequire } from 'node:module'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const { resolve } = createRequire(import.meta.url)

export default defineConfig({
  resolve: {
    alias: {
      // Its build for pages asks the document; a worker has none.
      'decode-named-character-reference': resolve('decode-named-character-reference'),
    },
  },
  plugins: [
    react(),
    tailwindcss(),
    // The whole build is kept by the browser, so that a kitchen without a network loses nothing. A new build waits.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Frijol',
        short_name: 'Frijol',
        description: 'The development bench for whole-food replacements of meat, egg and dairy.',
        display: 'standalone',
        start_url: '/',
        background_color: '#f6f1e7',
        theme_color: '#f6f1e7',
        icons: [{ src: '/seed.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        importScripts: ['/sw-routes.js'],
        globPatterns: ['**/*.{js,css,html,woff2,svg,json,wasm}'],
        // The linear solver.
        maximumFileSizeToCacheInBytes: 6 * 1024 * 1024,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  worker: { format: 'es' },
  optimizeDeps: { exclude: ['highs'] },
  build: {
    target: 'es2022',
    sourcemap: true,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'react',
              test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/,
              priority: 2,
            },
            {
              name: 'radix',
              test: /node_modules[\\/](@radix-ui|radix-ui|@floating-ui|react-remove-scroll)[\\/]/,
              priority: 1,
            },
            {
              name: 'model',
              // Days at the counter and backups come with what shows them.
              test: /[\\/]core[\\/]src[\\/]model[\\/](?!cookDay|planTask|tasting|backup)|node_modules[\\/](zod|fast-deep-equal)[\\/]/,
              priority: 3,
            },
            // What works dishes out is one chunk: it is always needed whole, and many small ones cost more.
            {
              name: 'engine',
              test: /[\\/]core[\\/]src[\\/](?!model|interchange|tune|solver|swap|day|schedule|chance|sensory|statistics|experiment|history|diagnosis|nextTrial|series)/,
              priority: 1,
            },
            {
              name: 'ui',
              test: /[\\/]web[\\/]src[\\/]ui[\\/](?!FinderList|Toasts|dragging|marks|Folded|LoneField|DragNumber|BandSlider)/,
            },
          ],
        },
      },
    },
  },
})
