import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // Registered by the app itself, which asks before it takes a new version: src/app/app-versions.ts.
      injectRegister: false,
      registerType: 'prompt',
      manifest: {
        id: '/',
        name: 'Jolt Mile',
        short_name: 'Jolt Mile',
        description: 'Measure drivetrain wear, keep the record, know what to do next.',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#F3EEE4',
        theme_color: '#14262B',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        // All of it: every station, worker, font, the demo. What is not kept is not there without a network.
        globPatterns: ['**/*.{html,js,css,svg,png,woff2}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        clientsClaim: true,
        cleanupOutdatedCaches: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
  worker: { format: 'es' },
  build: {
    manifest: true,
    // Fonts stay files of their own: a page policy that admits no data: address would refuse them otherwise.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
})
