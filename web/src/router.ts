import { createRouter, createWebHistory } from 'vue-router';
import { useNotice } from './shell/notice';
import * as texts from './words/shell/router';

/** One address a stage; each is loaded when it is asked for, so that the frame is there before any of them. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/walk' },
    { path: '/walk', component: () => import('./stages/walk/WalkView.vue'), meta: { title: texts.walk } },
    { path: '/match', component: () => import('./stages/match/MatchView.vue'), meta: { title: texts.match } },
    { path: '/trip', component: () => import('./stages/trip/TripView.vue'), meta: { title: texts.trip } },
    { path: '/kit', component: () => import('./stages/kit/KitView.vue'), meta: { title: texts.kit } },
    { path: '/stow', component: () => import('./stages/stow/StowView.vue'), meta: { title: texts.stow } },
    { path: '/crew', component: () => import('./stages/crew/CrewView.vue'), meta: { title: texts.crew } },
    { path: '/prove', component: () => import('./stages/prove/ProveView.vue'), meta: { title: texts.prove } },
    { path: '/road', component: () => import('./stages/road/RoadView.vue'), meta: { title: texts.road } },
    { path: '/print', component: () => import('./print/PrintView.vue'), meta: { title: texts.print, bare: true } },
    { path: '/print/buy', component: () => import('./print/BuyPrint.vue'), meta: { title: texts.buyList, bare: true } },
    {
      path: '/print/roll/:place',
      component: () => import('./print/RollPrint.vue'),
      meta: { title: texts.rollAt11, bare: true },
    },
    {
      path: '/print/checks',
      component: () => import('./print/ChecksPrint.vue'),
      meta: { title: texts.checks, bare: true },
    },
    {
      path: '/print/card',
      component: () => import('./print/CardPrint.vue'),
      meta: { title: texts.pocketCard, bare: true },
    },
    {
      path: '/print/repairs',
      component: () => import('./print/RepairsPrint.vue'),
      meta: { title: texts.repairs, bare: true },
    },
    {
      path: '/print/book',
      component: () => import('./print/BookPrint.vue'),
      meta: { title: texts.tripBook, bare: true },
    },
    { path: '/print/crew', component: () => import('./print/CrewPrint.vue'), meta: { title: texts.lists, bare: true } },
    { path: '/:rest(.*)*', redirect: '/walk' },
  ],
});
/**
 * The first stage has come, or could not be fetched. Asked for before anything is opened: the router does not tell whoever asks after it failed.
 */
export const opened: Promise<void> = router.isReady().catch(() => undefined);
router.afterEach((to) => {
  document.title = `${String(to.meta['title'] ?? '')} · Necessaire`;
});

/** A part of the page that could not be fetched is not asked for again by the page as it stands: then the next stage is loaded afresh. */
let lacking = false;
addEventListener('vite:preloadError', () => (lacking = true));
const reachable = () =>
  fetch('/', { method: 'HEAD', cache: 'no-store' }).then(
    (r) => r.ok,
    () => false,
  );
const sayAway = () => useNotice().say(texts.thisPageCouldNotBe);

router.beforeEach(async (to, from) => {
  if (!lacking || from.matched.length === 0 || to.path === from.path) return true;
  // Only when the server answers: a page that is left for one that does not come is gone.
  if (await reachable()) location.assign(to.fullPath);
  else sayAway();
  return false;
});
router.onError(sayAway);
