import '@fontsource/alegreya/latin-400.css'
import '@fontsource/alegreya/latin-700.css'
import '@fontsource/alegreya-sans/latin-400.css'
import '@fontsource/alegreya-sans/latin-500.css'
import '@fontsource/alegreya-sans/latin-700.css'
import '@fontsource/alegreya-sans/greek-400.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { Refused } from './api/client'
import App from './shell/App.vue'
import router from './shell/router'
import vuetify from './theme'
import './style/main.css'

/** Only a server that does not answer, or stumbles, is asked again: what it refused, it refuses again. */
function again(failures: number, thrown: unknown) {
  const refused = thrown instanceof Refused && thrown.problem.status >= 400 && thrown.problem.status < 500
  return failures < 2 && !refused
}

// The server is this machine's or the workshop's own: it answers with no way out to the world.

const app = createApp(App)
  .use(createPinia())
  .use(router)
  .use(vuetify)
  .use(VueQueryPlugin, {
    queryClientConfig: {
      defaultOptions: {
        queries: { retry: again, networkMode: 'always' },
        mutations: { networkMode: 'always' },
      },
    },
  })

app.mount('#app')
