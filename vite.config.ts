import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
  worker: { format: 'es' },
  build: {
    manifest: true,
    // Fonts stay files of their own: a page policy that admits no data: address would refuse them otherwise.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
})
