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
          meta: { title: 'Bring a file' },
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
          path: 'settings',
          name: 'settings',
          component: () => import('./players/PlayerSettingsView.vue'),
          props: true,
          meta: { title: 'Settings' },
        },
        {
          path: 'history',
          name: 'history',
          component: () => import('./changes/HistoryView.vue'),
          props: true,
          meta: { title: 'History' },
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
      path: '/seasons',
      name: 'seasons',
      component: () => import('./courses/SeasonsView.vue'),
      meta: { title: 'Season templates' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./app/NowhereView.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
});

router.afterEach((to) => {
  document.title = `${(to.meta.title as string | undefined) ?? 'Tasche'} · Tasche`;
});
