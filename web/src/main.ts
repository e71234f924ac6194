import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/atkinson-hyperlegible-next'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { whenSignedOut } from './api/client'
import App from './App.vue'
import { readAhead, router } from './router'
import { useSession } from './stores/session'
import { useSettings } from './stores/settings'
import './style.css'

const READ_AHEAD_MS = 3000

const app = createApp(App).use(createPinia())
useSettings()
const session = useSession()
whenSignedOut(() => session.signedInAgain())
app.use(router).mount('#app')

// With nothing else to do, all views are read: a page that is open when the network goes still opens each of them.
void router.isReady().then(() => setTimeout(() => void readAhead(), READ_AHEAD_MS))

// A page of the version before asks for files that are not there any more: the new one knows its own.
addEventListener('vite:preloadError', () => {
  const mine = document.querySelector('script[type=module][src]')?.getAttribute('src')
  void fetch('/')
    .then((page) => (page.ok ? page.text() : ''))
    .then(
      (page) => page && mine && !page.includes(mine) && location.reload(),
      () => undefined, // the server does not answer: what is open stays open
    )
})

// Where the browser allows it (https, or this very computer) the page opens without a network too.
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
