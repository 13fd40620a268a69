import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  // One style sheet for all: a view is never shown without its styles, and one request less can fail.
  build: { target: 'es2022', chunkSizeWarningLimit: 700, cssCodeSplit: false },
  // `npm run dev` shows the front end with a server started by hand behind it.
  server: {
    proxy: {
      // As if the page came from the server itself, which refuses requests from pages of other sites.
      '/api': {
        target: 'http://127.0.0.1:4780',
        changeOrigin: true,
        headers: { origin: 'http://127.0.0.1:4780' },
      },
    },
  },
})
