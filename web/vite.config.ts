import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  // One style sheet for all: a view is never shown without its styles, and one request less can fail.
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    cssCodeSplit: false,
    rolldownOptions: {
      output: {
        // Few files rather than one for each small component: a browser fetches six at a time.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'] },
            { name: 'plots', test: /node_modules[\\/](echarts|zrender)/, priority: 1 },
            { name: 'parts', minShareCount: 6, maxModuleSize: 400_000 },
            { name: 'few', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 40_000 },
          ],
        },
      },
    },
  },
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
