import { createRouter, createWebHistory } from 'vue-router';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/roster' },
    {
      path: '/roster',
      name: 'roster',
      component: () => import('./roster/RosterView.vue'),
      meta: { title: 'Roster' },
    },
    {
      path: '/players/:playerId',
      component: () => import('./sheet/PlayerPage.vue'),
      props: true,
      children: [
        { path: '', redirect: (to) => ({ name: 'bag', params: to.params }) },
        {
          path: 'bag/:bagId?',
          name: 'bag',
          component: () => import('./bag/BagView.vue'),
          props: true,
          meta: { title: 'Bag' },
        },
        {
          path: 'flight/:bagId?',
          name: 'flight',
          component: () => import('./flight/FlightView.vue'),
          props: true,
          meta: { title: 'Flights' },
        },
        {
          path: 'locker',
          name: 'locker',
          component: () => import('./locker/LockerView.vue'),
          props: true,
          meta: { title: 'Locker' },
        },
        {
          path: 'range/import',
          name: 'range-import',
          component: () => import('./range/ImportView.vue'),
          props: true,
          meta: { title: 'Import a file' },
        },
        {
          path: 'range/basket',
          name: 'basket',
          component: () => import('./basket/BasketView.vue'),
          props: true,
          meta: { title: 'Next basket' },
        },
        {
          path: 'range/:sessionId?',
          name: 'range',
          component: () => import('./range/RangeView.vue'),
          props: true,
          meta: { title: 'Range' },
        },
        {
          path: 'compare',
          name: 'compare',
          component: () => import('./compare/CompareView.vue'),
          props: true,
          meta: { title: 'Compare' },
        },
        {
          path: 'plan/:planId?',
          name: 'plan',
          component: () => import('./plan/PlanPage.vue'),
          props: true,
          meta: { title: 'Plan' },
        },
        {
          path: 'plan/:planId/sheet',
          name: 'swap-sheet',
          component: () => import('./plan/SwapSheetView.vue'),
          props: true,
          meta: { title: 'Swap sheet' },
        },
        {
          path: 'bench',
          name: 'bench',
          component: () => import('./bench/TicketsView.vue'),
          props: true,
          meta: { title: 'Bench' },
        },
        {
          path: 'bench/bend',
          name: 'bend-plan',
          component: () => import('./bench/BendView.vue'),
          props: true,
          meta: { title: 'Bend plan' },
        },
        {
          path: 'bench/weights',
          name: 'weights',
          component: () => import('./bench/WeightsView.vue'),
          props: true,
          meta: { title: 'Weights and lengths' },
        },
        {
          path: 'bench/check',
          name: 'check',
          component: () => import('./bench/CheckView.vue'),
          props: true,
          meta: { title: 'Check' },
        },
        {
          path: 'bench/wear',
          name: 'wear',
          component: () => import('./bench/WearView.vue'),
          props: true,
          meta: { title: 'Wear and balls' },
        },
        {
          path: 'bench/putters',
          name: 'putters',
          component: () => import('./bench/PuttersView.vue'),
          props: true,
          meta: { title: 'Putters' },
        },
        {
          path: 'bench/wishes',
          name: 'wishes',
          component: () => import('./bench/WishesView.vue'),
          props: true,
          meta: { title: 'Wish list' },
        },
        {
          path: 'clubs/:clubId/build',
          name: 'build',
          component: () => import('./bench/BuildSheetView.vue'),
          props: true,
          meta: { title: 'Build sheet' },
        },
        {
          path: 'clubs/:clubId/life',
          name: 'club-life',
          component: () => import('./history/ClubLifeView.vue'),
          props: true,
          meta: { title: 'A club’s life' },
        },
        {
          path: 'season',
          name: 'season',
          component: () => import('./season/SeasonPage.vue'),
          props: true,
          meta: { title: 'Season' },
        },
        {
          path: 'card',
          name: 'card',
          component: () => import('./card/CardView.vue'),
          props: true,
          meta: { title: 'Card' },
        },
        {
          path: 'settings',
          name: 'settings',
          component: () => import('./players/PlayerSettingsView.vue'),
          props: true,
          meta: { title: 'Settings' },
        },
        {
          path: 'history',
          name: 'history',
          component: () => import('./history/HistoryView.vue'),
          props: true,
          meta: { title: 'History' },
        },
        {
          path: 'history/review',
          name: 'review',
          component: () => import('./history/ReviewView.vue'),
          props: true,
          meta: { title: 'Season review' },
        },
      ],
    },
    {
      path: '/courses/:courseId?',
      name: 'courses',
      component: () => import('./courses/CoursesView.vue'),
      props: true,
      meta: { title: 'Courses' },
    },
    {
      path: '/calendar',
      name: 'calendar',
      component: () => import('./season/CalendarView.vue'),
      meta: { title: 'Calendar' },
    },
    {
      path: '/tickets',
      name: 'tickets',
      component: () => import('./bench/TicketQueueView.vue'),
      meta: { title: 'Tickets' },
    },
    {
      path: '/welcome',
      name: 'welcome',
      component: () => import('./people/WelcomeView.vue'),
      meta: { title: 'Welcome' },
    },
    {
      path: '/account',
      name: 'account',
      component: () => import('./people/AccountView.vue'),
      meta: { title: 'Account' },
    },
    {
      path: '/scripts',
      name: 'scripts',
      component: () => import('./people/ScriptsView.vue'),
      meta: { title: 'Scripts' },
    },
    {
      path: '/people',
      name: 'people',
      component: () => import('./people/PeopleView.vue'),
      meta: { title: 'People' },
    },
    {
      path: '/seasons',
      name: 'seasons',
      component: () => import('./courses/SeasonsView.vue'),
      meta: { title: 'Season templates' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./app/NotFoundView.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
});

let isBackOrForward = false;
router.options.history.listen(() => {
  isBackOrForward = true;
});
router.afterEach((to, from) => {
  if (to.name !== from.name || to.params.playerId !== from.params.playerId) {
    // Until its head is there, which says more.
    document.title = `${(to.meta.title as string | undefined) ?? 'Tasche'} · Tasche`;
    // A page that is gone back to, the browser puts where it was.
    if (!isBackOrForward) window.scrollTo({ top: 0 });
  }
  isBackOrForward = false;
});
