import { createRouter, createWebHistory } from 'vue-router'
import RingsView from '../rings/RingsView.vue'
import TodayView from '../today/TodayView.vue'

/** The views there are, in the order of the work. The frame shows these and no others. */
export const stages = [
  { path: '/today', name: 'Today' },
  { path: '/rings', name: 'Rings' },
  { path: '/chain', name: 'Chain' },
  { path: '/kept', name: 'Kept' },
  { path: '/patterns', name: 'Patterns' },
  { path: '/rack', name: 'Rack' },
  { path: '/orders', name: 'Orders' },
  { path: '/bench', name: 'Bench' },
  { path: '/check', name: 'Check' },
  { path: '/tools', name: 'Tools' },
  { path: '/guide', name: 'Guide' },
] as const

const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    { path: '/today', component: TodayView, meta: { title: 'Today' } },
    { path: '/rings', component: RingsView, meta: { title: 'Rings' } },
    { path: '/chain', component: () => import('../chains/ChainView.vue'), meta: { title: 'Chain' } },
    { path: '/kept', component: () => import('../kept/KeptView.vue'), meta: { title: 'Kept plans' } },
    {
      path: '/patterns',
      component: () => import('../patterns/library/LibraryView.vue'),
      meta: { title: 'Patterns' },
    },
    {
      path: '/patterns/room',
      component: () => import('../patterns/room/RoomView.vue'),
      meta: { title: 'Drawing room' },
    },
    {
      path: '/rack',
      component: () => import('../rack/RackFrame.vue'),
      children: [
        { path: '', component: () => import('../rack/stock/StockView.vue'), meta: { title: 'On the rack' } },
        {
          path: 'choose',
          component: () => import('../rack/choose/ChooseView.vue'),
          meta: { title: 'Choose a wire' },
        },
        { path: 'cut', component: () => import('../rack/cut/CutView.vue'), meta: { title: 'Cut plan' } },
        {
          path: 'cost',
          component: () => import('../rack/cost/CostView.vue'),
          meta: { title: 'What it costs' },
        },
      ],
    },
    {
      path: '/orders',
      component: () => import('../orders/OrdersFrame.vue'),
      children: [
        { path: '', component: () => import('../orders/OrdersView.vue'), meta: { title: 'Orders' } },
        {
          path: 'sittings',
          component: () => import('../orders/SittingsView.vue'),
          meta: { title: 'Sittings' },
        },
        {
          path: 'shelf',
          component: () => import('../orders/ShelfView.vue'),
          meta: { title: 'On the shelf' },
        },
      ],
    },
    {
      path: '/bag/:id(\\d+)',
      component: () => import('../orders/BagView.vue'),
      meta: { title: 'A bag', stage: '/orders' },
    },
    { path: '/bench', component: () => import('../bench/BenchView.vue'), meta: { title: 'On the bench' } },
    {
      path: '/bench/:id(\\d+)',
      component: () => import('../bench/LeadView.vue'),
      meta: { title: 'At the bench' },
    },
    {
      path: '/check',
      component: () => import('../check/CheckFrame.vue'),
      children: [
        { path: '', component: () => import('../check/ChecksView.vue'), meta: { title: 'What is measured' } },
        {
          path: 'lots',
          component: () => import('../check/LotsView.vue'),
          meta: { title: 'How lots spring' },
        },
        {
          path: 'practice',
          component: () => import('../check/PracticeView.vue'),
          meta: { title: 'Practice' },
        },
        {
          path: 'hand',
          component: () => import('../check/HandView.vue'),
          meta: { title: 'How even my hand is' },
        },
        { path: 'jaws', component: () => import('../check/JawView.vue'), meta: { title: 'Jaw marks' } },
        {
          path: 'rescue',
          component: () => import('../check/RescueView.vue'),
          meta: { title: 'Something went wrong' },
        },
      ],
    },
    {
      path: '/check/:id(\\d+)',
      component: () => import('../check/CheckView.vue'),
      meta: { title: 'A check', stage: '/check' },
    },
    { path: '/tools', component: () => import('../tools/ToolsView.vue'), meta: { title: 'Tools' } },
    { path: '/guide', component: () => import('../guide/GuideView.vue'), meta: { title: 'Guide' } },
    { path: '/:rest(.*)', redirect: '/today' },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? '')} · Lorimant`
})

// The rack is opened in the middle of work: what it needs is fetched while nobody waits for it.
void router.isReady().then(() => {
  const fetch = () =>
    void Promise.all([import('../rack/RackFrame.vue'), import('../rack/stock/StockView.vue')])
  if ('requestIdleCallback' in window) window.requestIdleCallback(fetch)
  else setTimeout(fetch, 2000)
})

export default router
