import { defineConfig } from 'vitest/config'
import react from '@vitejs/plugin-react'
import tailwindcss from '@tailwindcss/vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:8080' } },
  build: { target: 'es2022' },
  test: { environment: 'jsdom', setupFiles: ['src/test-setup.ts'], css: false },
})
