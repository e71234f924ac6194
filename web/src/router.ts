import { createRouter, createWebHistory } from 'vue-router'
import BenchView from './views/BenchView.vue'
import BookView from './views/BookView.vue'
import PlotView from './views/PlotView.vue'
import RebuildView from './views/RebuildView.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'book', component: BookView },
    { path: '/shots/:id(\\d+)/plot', name: 'plot', component: PlotView, props: (r) => ({ shotId: Number(r.params.id) }) },
    { path: '/shots/:id(\\d+)/rebuild', name: 'rebuild', component: RebuildView, props: (r) => ({ shotId: Number(r.params.id) }) },
    { path: '/bench/:bench?', name: 'bench', component: BenchView, props: (r) => ({ bench: String(r.params.bench || 'colour') }) },
    { path: '/:rest(.*)*', redirect: { name: 'book' } },
  ],
})
