import { createRouter, createWebHistory } from 'vue-router'
import BenchView from './views/BenchView.vue'
import BookView from './views/BookView.vue'
import PatchView from './views/PatchView.vue'
import PlotView from './views/PlotView.vue'
import CarryView from './views/CarryView.vue'
import CompareView from './views/CompareView.vue'
import JoinView from './views/JoinView.vue'
import LightView from './views/LightView.vue'
import LogView from './views/LogView.vue'
import MatchView from './views/MatchView.vue'
import MeterView from './views/MeterView.vue'
import MovesView from './views/MovesView.vue'
import RecallView from './views/RecallView.vue'
import RebuildView from './views/RebuildView.vue'
import SetView from './views/SetView.vue'
import VerdictView from './views/VerdictView.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'book', component: BookView },
    {
      path: '/shots/:id(\\d+)/plot',
      name: 'plot',
      component: PlotView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/carry',
      name: 'carry',
      component: CarryView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/patch',
      name: 'patch',
      component: PatchView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/recall',
      name: 'recall',
      component: RecallView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    { path: '/shots/:id(\\d+)/log', name: 'log', component: LogView, props: (r) => ({ shotId: Number(r.params.id) }) },
    { path: '/compare/:from/:to', name: 'compare', component: CompareView, props: true },
    { path: '/moves/:from/:to', name: 'moves', component: MovesView, props: true },
    {
      path: '/shots/:id(\\d+)/light',
      name: 'light',
      component: LightView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    { path: '/shots/:id(\\d+)/set', name: 'set', component: SetView, props: (r) => ({ shotId: Number(r.params.id) }) },
    {
      path: '/shots/:id(\\d+)/rebuild',
      name: 'rebuild',
      component: RebuildView,
      props: (r) => ({ shotId: Number(r.params.id), runId: Number(r.query.run) || undefined }),
    },
    {
      path: '/shots/:id(\\d+)/meter',
      name: 'meter',
      component: MeterView,
      props: (r) => ({ shotId: Number(r.params.id), runId: Number(r.query.run) || undefined }),
    },
    {
      path: '/shots/:id(\\d+)/match',
      name: 'match',
      component: MatchView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/runs/:run(\\d+)/verdict',
      name: 'verdict',
      component: VerdictView,
      props: (r) => ({ runId: Number(r.params.run) }),
    },
    {
      path: '/bench/:bench?',
      name: 'bench',
      component: BenchView,
      props: (r) => ({ bench: String(r.params.bench || 'colour') }),
    },
    { path: '/join/:token', name: 'join', component: JoinView, props: true },
    { path: '/:rest(.*)*', redirect: { name: 'book' } },
  ],
})
