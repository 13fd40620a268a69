import { t } from '../text'
import { createRouter, createWebHistory, START_LOCATION, type RouteLocation } from 'vue-router'
import { api, data } from '../api/client'
import { useNotice } from '../shared/notice'
import TodayView from '../today/TodayView.vue'

/** The six doors, by stage of work, and the addresses behind each. */
export const doors = [
  { path: '/today', name: t('router-today'), holds: ['/today'] },
  { path: '/rings', name: t('router-plan'), holds: ['/rings', '/findings', '/chains', '/saved'] },
  { path: '/wire', name: t('router-wire'), holds: ['/wire'] },
  { path: '/orders', name: t('router-orders'), holds: ['/orders', '/bag'] },
  { path: '/bench', name: t('router-bench'), holds: ['/bench'] },
  { path: '/measure', name: t('router-measure'), holds: ['/measure'] },
] as const

/** What stands beside the doors: not a stage of the work. */
export const beside = [
  { path: '/tools', name: t('router-tools') },
  { path: '/reference', name: t('router-reference') },
  { path: '/help', name: t('router-help') },
] as const

/** What can be planned, and what was saved of it. */
export const plans = [
  { path: '/rings', name: t('router-rings') },
  { path: '/findings', name: t('router-findings') },
  { path: '/chains', name: t('router-chains') },
  { path: '/saved', name: t('router-saved') },
] as const

/** Whether an address is one of these or lies below it. */
export const isWithin = (path: string, holds: readonly string[]) =>
  holds.some((one) => path === one || path.startsWith(`${one}/`))

/** Where addresses of earlier versions lead, so that bookmarks go on working. */
const moved = [
  ['/kept', '/saved'],
  ['/chain', '/chains'],
  ['/patterns', '/findings'],
  ['/patterns/room', '/findings/piece'],
  ['/rack', '/wire'],
  ['/rack/choose', '/wire/choose'],
  ['/rack/cut', '/wire/cutting-plan'],
  ['/rack/cost', '/wire/cost'],
  ['/orders/sittings', '/orders/schedule'],
  ['/orders/shelf', '/orders/stock'],
  ['/check', '/measure'],
  ['/check/lots', '/measure/springback'],
  ['/check/practice', '/measure/practice'],
  ['/check/hand', '/measure/consistency'],
  ['/check/jaws', '/measure/jaws'],
  ['/check/rescue', '/measure/fix'],
  ['/check/:id(\\d+)', '/measure/:id'],
  ['/guide', '/reference'],
].map(([from, to]) => ({
  path: from!,
  redirect: ({ params, query }: RouteLocation) => ({
    path: to!.replace(':id', String(params.id)),
    query,
  }),
}))

const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from, before) => {
    if (before) return before
    if (to.hash) return { el: to.hash }
    return to.path === from.path ? undefined : { top: 0 }
  },
  routes: [
    { path: '/', redirect: '/today' },
    { path: '/today', component: TodayView, meta: { title: t('router-today') } },
    { path: '/rings', component: () => import('../rings/RingsView.vue'), meta: { title: t('router-rings') } },
    {
      path: '/chains',
      component: () => import('../chains/ChainView.vue'),
      meta: { title: t('router-chains') },
    },
    { path: '/saved', component: () => import('../kept/KeptView.vue'), meta: { title: t('router-saved') } },
    {
      path: '/findings',
      component: () => import('../patterns/library/LibraryView.vue'),
      meta: { title: t('router-findings') },
    },
    {
      path: '/findings/piece',
      component: () => import('../patterns/room/RoomView.vue'),
      meta: { title: t('router-finding') },
    },
    {
      path: '/wire',
      component: () => import('../rack/RackFrame.vue'),
      children: [
        {
          path: '',
          component: () => import('../rack/stock/StockView.vue'),
          meta: { title: t('router-wire-stock') },
        },
        {
          path: 'choose',
          component: () => import('../rack/choose/ChooseView.vue'),
          meta: { title: t('router-choose-wire') },
        },
        {
          path: 'cutting-plan',
          component: () => import('../rack/cut/CutView.vue'),
          meta: { title: t('router-cutting-plan') },
        },
        {
          path: 'cost',
          component: () => import('../rack/cost/CostView.vue'),
          meta: { title: t('router-cost') },
        },
      ],
    },
    {
      path: '/orders',
      component: () => import('../orders/OrdersFrame.vue'),
      children: [
        {
          path: '',
          component: () => import('../orders/OrdersView.vue'),
          meta: { title: t('router-orders') },
        },
        {
          path: 'schedule',
          component: () => import('../orders/ScheduleView.vue'),
          meta: { title: t('router-schedule') },
        },
        {
          path: 'stock',
          component: () => import('../orders/ShelfView.vue'),
          meta: { title: t('router-finished-stock') },
        },
      ],
    },
    {
      path: '/bag/:id(\\d+)',
      component: () => import('../orders/BagView.vue'),
      meta: { title: t('router-bag') },
    },
    { path: '/bench', component: () => import('../bench/BenchView.vue'), meta: { title: t('router-bench') } },
    {
      path: '/bench/:id(\\d+)',
      component: () => import('../bench/LeadView.vue'),
      meta: { title: t('router-bench') },
    },
    {
      path: '/measure',
      component: () => import('../check/CheckFrame.vue'),
      children: [
        {
          path: '',
          component: () => import('../check/ChecksView.vue'),
          meta: { title: t('router-measurements') },
        },
        {
          path: 'springback',
          component: () => import('../check/LotsView.vue'),
          meta: { title: t('router-springback') },
        },
        {
          path: 'practice',
          component: () => import('../check/PracticeView.vue'),
          meta: { title: t('router-practice') },
        },
        {
          path: 'consistency',
          component: () => import('../check/HandView.vue'),
          meta: { title: t('router-consistency') },
        },
        {
          path: 'jaws',
          component: () => import('../check/JawView.vue'),
          meta: { title: t('router-jaw-marks') },
        },
        {
          path: 'fix',
          component: () => import('../check/RescueView.vue'),
          meta: { title: t('router-fix-problem') },
        },
      ],
    },
    {
      path: '/measure/:id(\\d+)',
      component: () => import('../check/CheckView.vue'),
      meta: { title: t('router-measurement') },
    },
    { path: '/tools', component: () => import('../tools/ToolsView.vue'), meta: { title: t('router-tools') } },
    {
      path: '/reference',
      component: () => import('../guide/GuideView.vue'),
      meta: { title: t('router-reference') },
    },
    { path: '/help', component: () => import('../guide/HelpView.vue'), meta: { title: t('router-help') } },
    ...moved,
    {
      path: '/:rest(.*)',
      component: () => import('./NotFoundView.vue'),
      meta: { title: t('router-page-not-found') },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? '')} · Lorimant`
})

// A view could not be fetched: the server is away, or a newer version runs than the one this page came from.
router.onError(async (_, to, from) => {
  try {
    await data(api.GET('/api/health'))
  } catch (thrown) {
    useNotice().fail(thrown)
    return
  }
  if (from !== START_LOCATION) location.assign(to.fullPath)
})

/** How long after the first view what may be opened next is fetched, ms. */
const LATER = 3000

// The stock is opened in the middle of work: what it needs is fetched while nobody waits for it.
// Where that fails, the stock asks again when it is opened.
void router.isReady().then(() => {
  const fetch = () =>
    void Promise.all([import('../rack/RackFrame.vue'), import('../rack/stock/StockView.vue')]).catch(
      () => undefined,
    )
  setTimeout(() => ('requestIdleCallback' in window ? window.requestIdleCallback(fetch) : fetch()), LATER)
})

export default router
