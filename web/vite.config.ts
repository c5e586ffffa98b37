import { defineConfig } from 'vitest/config'
import react from '@vitejs/plugin-react'
import tailwindcss from '@tailwindcss/vite'
import { VitePWA } from 'vite-plugin-pwa'

const API = process.env.API_URL ?? 'http://127.0.0.1:8080'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // the screens themselves are kept on the device; what they show of clients is only where the floor keeps it
    VitePWA({
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Istmo',
        short_name: 'Istmo',
        description:
          'Leg exercises for this client on this machine: ranking, set-up, plan, training, record',
        start_url: '/floor',
        scope: '/',
        display: 'standalone',
        background_color: '#f7f3e8',
        theme_color: '#1c2b33',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        // ten megabytes that only a film needs
        globIgnores: ['**/follow.worker-*.js'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /^\/v3\//],
        // the exercises' small pictures tell nothing of anybody, and the floor needs them offline
        runtimeCaching: [
          {
            urlPattern: ({ url }) => url.pathname === '/api/pictures',
            handler: 'StaleWhileRevalidate',
            options: { cacheName: 'pictures' },
          },
        ],
      },
    }),
  ],
  // the application answers its own pages alone, so the development server speaks as one of them
  server: { proxy: { '/api': { target: API, changeOrigin: true, headers: { origin: API } } } },
  // licences of what is bundled are served at /notices-web.md
  worker: { format: 'es' },
  build: { target: 'es2022', license: { fileName: 'notices-web.md' } },
  test: {
    environment: 'jsdom',
    setupFiles: ['src/test-setup.ts'],
    css: false,
    testTimeout: 30_000, // a machine that is busy is no fault
    // told, not asked for: there is no threshold yet
    coverage: {
      include: ['src/**/*.{ts,tsx}'],
      exclude: ['src/api/schema.d.ts', 'src/**/*.test.{ts,tsx}'],
      reporter: ['text-summary'],
    },
  },
})
