import { createRouter, createWebHistory } from 'vue-router'
import { readLater } from '@/lib/lazy'

/** A view is read when it is first opened, or when the page has nothing else to do: the first one comes sooner. */
const views = {
  ArchiveView: () => import('./views/ArchiveView.vue'),
  BenchView: () => import('./views/BenchView.vue'),
  BookView: () => import('./views/BookView.vue'),
  CarryView: () => import('./views/CarryView.vue'),
  CompareView: () => import('./views/CompareView.vue'),
  DayView: () => import('./views/DayView.vue'),
  DrillView: () => import('./views/DrillView.vue'),
  FrameView: () => import('./views/FrameView.vue'),
  JoinView: () => import('./views/JoinView.vue'),
  KitView: () => import('./views/KitView.vue'),
  LightView: () => import('./views/LightView.vue'),
  LogView: () => import('./views/LogView.vue'),
  MatchView: () => import('./views/MatchView.vue'),
  MeterView: () => import('./views/MeterView.vue'),
  MovesView: () => import('./views/MovesView.vue'),
  PatchView: () => import('./views/PatchView.vue'),
  PlotView: () => import('./views/PlotView.vue'),
  PullView: () => import('./views/PullView.vue'),
  RebuildView: () => import('./views/RebuildView.vue'),
  RecallView: () => import('./views/RecallView.vue'),
  PowerView: () => import('./views/PowerView.vue'),
  StillsView: () => import('./views/StillsView.vue'),
  StockView: () => import('./views/StockView.vue'),
  SurveyView: () => import('./views/SurveyView.vue'),
  SearchView: () => import('./views/SearchView.vue'),
  SetView: () => import('./views/SetView.vue'),
  TagView: () => import('./views/TagView.vue'),
  VerdictView: () => import('./views/VerdictView.vue'),
  WalkView: () => import('./views/WalkView.vue'),
}

/** Reads all views, and what they read later, so that they open when the network is gone. */
export async function readAhead() {
  await Promise.allSettled(Object.values(views).map((read) => read()))
  await readLater()
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'book', component: views.BookView },
    {
      path: '/productions/:production(\\d+)/days/:number(\\d+)',
      name: 'day',
      component: views.DayView,
      props: (r) => ({ productionId: Number(r.params.production), number: Number(r.params.number) }),
    },
    {
      path: '/productions/:production(\\d+)/kit/:part(units|flat|grip|lists)?',
      name: 'kit',
      component: views.KitView,
      props: (r) => ({
        productionId: Number(r.params.production),
        part: String(r.params.part || 'all'),
        unitId: Number(r.query.unit) || undefined,
      }),
    },
    {
      path: '/pull-lists/:list(\\d+)',
      name: 'pull',
      component: views.PullView,
      props: (r) => ({ listId: Number(r.params.list) }),
    },
    {
      path: '/archive/:production(\\d+)?',
      name: 'archive',
      component: views.ArchiveView,
      props: (r) => ({ productionId: Number(r.params.production) || undefined }),
    },
    {
      path: '/find',
      name: 'search',
      component: views.SearchView,
      props: (r) => ({ q: String(r.query.q ?? ''), alike: Number(r.query.alike) || undefined }),
    },
    { path: '/u/:tag', name: 'tag', component: views.TagView, props: true },
    {
      path: '/shots/:id(\\d+)/plot',
      name: 'plot',
      component: views.PlotView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/survey',
      name: 'survey',
      component: views.SurveyView,
      props: (r) => ({ shotId: Number(r.params.id), round: r.query.round ? String(r.query.round) : undefined }),
    },
    {
      path: '/shots/:id(\\d+)/carry',
      name: 'carry',
      component: views.CarryView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/patch',
      name: 'patch',
      component: views.PatchView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/recall',
      name: 'recall',
      component: views.RecallView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/power',
      name: 'power',
      component: views.PowerView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/log',
      name: 'log',
      component: views.LogView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/frame',
      name: 'frame',
      component: views.FrameView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/stills',
      name: 'stills',
      component: views.StillsView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    { path: '/compare/:from/:to', name: 'compare', component: views.CompareView, props: true },
    { path: '/moves/:from/:to', name: 'moves', component: views.MovesView, props: true },
    {
      path: '/shots/:id(\\d+)/light',
      name: 'light',
      component: views.LightView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/set',
      name: 'set',
      component: views.SetView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/sets/:set(\\d+)',
      name: 'drawnSet',
      component: views.SetView,
      props: (r) => ({ setId: Number(r.params.set) }),
    },
    {
      path: '/shots/:id(\\d+)/rebuild',
      name: 'rebuild',
      component: views.RebuildView,
      props: (r) => ({ shotId: Number(r.params.id), runId: Number(r.query.run) || undefined }),
    },
    {
      path: '/shots/:id(\\d+)/walk',
      name: 'walk',
      component: views.WalkView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/meter',
      name: 'meter',
      component: views.MeterView,
      props: (r) => ({
        shotId: Number(r.params.id),
        runId: Number(r.query.run) || undefined,
        begun: r.query.line ? String(r.query.line) : undefined,
      }),
    },
    {
      path: '/shots/:id(\\d+)/drill',
      name: 'drill',
      component: views.DrillView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/shots/:id(\\d+)/match',
      name: 'match',
      component: views.MatchView,
      props: (r) => ({ shotId: Number(r.params.id) }),
    },
    {
      path: '/runs/:run(\\d+)/verdict',
      name: 'verdict',
      component: views.VerdictView,
      props: (r) => ({ runId: Number(r.params.run) }),
    },
    {
      path: '/bench/:bench?',
      name: 'bench',
      component: views.BenchView,
      props: (r) => ({ bench: String(r.params.bench || 'colour') }),
    },
    { path: '/stock', name: 'stock', component: views.StockView },
    { path: '/join/:token', name: 'join', component: views.JoinView, props: true },
    { path: '/:rest(.*)*', redirect: { name: 'book' } },
  ],
})
