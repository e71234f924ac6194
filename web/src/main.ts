import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/atkinson-hyperlegible-next'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { authoredBy } from './api/client'
import App from './App.vue'
import { router } from './router'
import { useSettings } from './stores/settings'
import './style.css'

const app = createApp(App).use(createPinia())
const settings = useSettings()
authoredBy(() => settings.person.trim() || 'unnamed')
app.use(router).mount('#app')
