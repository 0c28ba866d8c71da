import { createRouter, createWebHistory } from 'vue-router';

/** One address a stage; each is loaded when it is asked for, so that the frame is there before any of them. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/walk' },
    { path: '/walk', component: () => import('./stages/walk/WalkView.vue'), meta: { title: 'Walk' } },
    { path: '/match', component: () => import('./stages/match/MatchView.vue'), meta: { title: 'Match' } },
    { path: '/trip', component: () => import('./stages/trip/TripView.vue'), meta: { title: 'Trip' } },
    { path: '/kit', component: () => import('./stages/kit/KitView.vue'), meta: { title: 'Kit' } },
    { path: '/stow', component: () => import('./stages/stow/StowView.vue'), meta: { title: 'Stow' } },
    { path: '/print', component: () => import('./print/PrintView.vue'), meta: { title: 'Print', bare: true } },
    { path: '/print/buy', component: () => import('./print/BuyPrint.vue'), meta: { title: 'Buy list', bare: true } },
    {
      path: '/print/roll/:place',
      component: () => import('./print/RollPrint.vue'),
      meta: { title: 'Roll at 1 : 1', bare: true },
    },
    { path: '/:rest(.*)*', redirect: '/walk' },
  ],
});
router.afterEach((to) => {
  document.title = `${String(to.meta['title'] ?? '')} · Necessaire`;
});
