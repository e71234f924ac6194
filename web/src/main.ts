import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/atkinson-hyperlegible-next'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { whenSignedOut } from './api/client'
import App from './App.vue'
import { router } from './router'
import { useSession } from './stores/session'
import { useSettings } from './stores/settings'
import './style.css'

const app = createApp(App).use(createPinia())
useSettings()
const session = useSession()
whenSignedOut(() => session.signedInAgain())
app.use(router).mount('#app')

// Where the browser allows it (https, or this very computer) the page opens without a network too.
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
