import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import RingsView from '../rings/RingsView.vue'
import TodayView from '../today/TodayView.vue'

/** The six doors, by stage of work, and the addresses behind each. */
export const doors = [
  { path: '/today', name: 'Today', holds: ['/today'] },
  { path: '/rings', name: 'Plan', holds: ['/rings', '/findings', '/chains', '/saved'] },
  { path: '/wire', name: 'Wire', holds: ['/wire'] },
  { path: '/orders', name: 'Orders', holds: ['/orders', '/bag'] },
  { path: '/bench', name: 'Bench', holds: ['/bench'] },
  { path: '/measure', name: 'Measure', holds: ['/measure'] },
] as const

/** What stands beside the doors: not a stage of the work. */
export const beside = [
  { path: '/tools', name: 'Tools' },
  { path: '/reference', name: 'Reference' },
] as const

/** What can be planned, and what was saved of it. */
export const plans = [
  { path: '/rings', name: 'Rings' },
  { path: '/findings', name: 'Findings' },
  { path: '/chains', name: 'Chains' },
  { path: '/saved', name: 'Saved' },
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
  routes: [
    { path: '/', redirect: '/today' },
    { path: '/today', component: TodayView, meta: { title: 'Today' } },
    { path: '/rings', component: RingsView, meta: { title: 'Rings' } },
    { path: '/chains', component: () => import('../chains/ChainView.vue'), meta: { title: 'Chains' } },
    { path: '/saved', component: () => import('../kept/KeptView.vue'), meta: { title: 'Saved' } },
    {
      path: '/findings',
      component: () => import('../patterns/library/LibraryView.vue'),
      meta: { title: 'Findings' },
    },
    {
      path: '/findings/piece',
      component: () => import('../patterns/room/RoomView.vue'),
      meta: { title: 'Finding' },
    },
    {
      path: '/wire',
      component: () => import('../rack/RackFrame.vue'),
      children: [
        { path: '', component: () => import('../rack/stock/StockView.vue'), meta: { title: 'Wire stock' } },
        {
          path: 'choose',
          component: () => import('../rack/choose/ChooseView.vue'),
          meta: { title: 'Choose wire' },
        },
        {
          path: 'cutting-plan',
          component: () => import('../rack/cut/CutView.vue'),
          meta: { title: 'Cutting plan' },
        },
        {
          path: 'cost',
          component: () => import('../rack/cost/CostView.vue'),
          meta: { title: 'Cost' },
        },
      ],
    },
    {
      path: '/orders',
      component: () => import('../orders/OrdersFrame.vue'),
      children: [
        { path: '', component: () => import('../orders/OrdersView.vue'), meta: { title: 'Orders' } },
        {
          path: 'schedule',
          component: () => import('../orders/SittingsView.vue'),
          meta: { title: 'Schedule' },
        },
        {
          path: 'stock',
          component: () => import('../orders/ShelfView.vue'),
          meta: { title: 'Finished stock' },
        },
      ],
    },
    {
      path: '/bag/:id(\\d+)',
      component: () => import('../orders/BagView.vue'),
      meta: { title: 'Bag' },
    },
    { path: '/bench', component: () => import('../bench/BenchView.vue'), meta: { title: 'Bench' } },
    {
      path: '/bench/:id(\\d+)',
      component: () => import('../bench/LeadView.vue'),
      meta: { title: 'Bench' },
    },
    {
      path: '/measure',
      component: () => import('../check/CheckFrame.vue'),
      children: [
        { path: '', component: () => import('../check/ChecksView.vue'), meta: { title: 'Measurements' } },
        {
          path: 'springback',
          component: () => import('../check/LotsView.vue'),
          meta: { title: 'Springback' },
        },
        {
          path: 'practice',
          component: () => import('../check/PracticeView.vue'),
          meta: { title: 'Practice' },
        },
        {
          path: 'consistency',
          component: () => import('../check/HandView.vue'),
          meta: { title: 'Consistency' },
        },
        { path: 'jaws', component: () => import('../check/JawView.vue'), meta: { title: 'Jaw marks' } },
        {
          path: 'fix',
          component: () => import('../check/RescueView.vue'),
          meta: { title: 'Fix a problem' },
        },
      ],
    },
    {
      path: '/measure/:id(\\d+)',
      component: () => import('../check/CheckView.vue'),
      meta: { title: 'Measurement' },
    },
    { path: '/tools', component: () => import('../tools/ToolsView.vue'), meta: { title: 'Tools' } },
    { path: '/reference', component: () => import('../guide/GuideView.vue'), meta: { title: 'Reference' } },
    ...moved,
    { path: '/:rest(.*)', component: () => import('./NotFoundView.vue'), meta: { title: 'Page not found' } },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? '')} · Lorimant`
})

// The stock is opened in the middle of work: what it needs is fetched while nobody waits for it.
void router.isReady().then(() => {
  const fetch = () =>
    void Promise.all([import('../rack/RackFrame.vue'), import('../rack/stock/StockView.vue')])
  if ('requestIdleCallback' in window) window.requestIdleCallback(fetch)
  else setTimeout(fetch, 2000)
})

export default router
