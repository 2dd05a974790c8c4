import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

// In development the server runs beside; in the product it serves what is built here.
export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  // No test leaves anything behind for the next: one loading of the modules serves all.
  test: { isolate: false, unstubGlobals: true },
  server: {
    proxy: {
      '/api': 'http://127.0.0.1:8470',
      '/auth': 'http://127.0.0.1:8470',
      '/ws': { target: 'ws://127.0.0.1:8470', ws: true },
    },
  },
})
