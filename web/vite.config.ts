import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

// In development the server runs beside; in the product it serves what is built here.
export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: {
    proxy: {
      '/api': 'http://127.0.0.1:8470',
      '/auth': 'http://127.0.0.1:8470',
      '/ws': { target: 'ws://127.0.0.1:8470', ws: true },
    },
  },
})
