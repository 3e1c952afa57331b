import type { DecisionId } from '#core/plan'
import { panelOf } from '../bench/panels'
import { createRouter, createWebHistory } from 'vue-router'

/** Routes are lazy: each page is fetched when it is first opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'workshops', component: () => import('../workshops/WorkshopsPage.vue') },
    { path: '/new', name: 'new', component: () => import('../workshops/NewPage.vue') },
    { path: '/w/:id', redirect: (to) => ({ name: 'bench', params: { id: to.params['id']!, panel: 'kit' } }) },
    {
      path: '/w/:id/bench/:panel',
      name: 'bench',
      component: () => import('../bench/BenchPage.vue'),
      beforeEnter: (to) => {
        // Fetched beside the page, not after it; a failure shows where the page asks for it again.
        panelOf[to.params['panel'] as DecisionId]?.().catch(() => undefined)
      },
    },
    { path: '/w/:id/prints', name: 'prints', component: () => import('../prints/PrintsPage.vue') },
    { path: '/w/:id/sessions', name: 'sessions', component: () => import('../sessions/SessionsPage.vue') },
    { path: '/w/:id/room/:session?', name: 'room', component: () => import('../room/RoomPage.vue') },
    { path: '/w/:id/day/:session?', name: 'day', meta: { alone: true }, component: () => import('../day/DayPage.vue') },
    { path: '/w/:id/wall/:session?', name: 'wall', meta: { alone: true }, component: () => import('../day/WallPage.vue') },
    { path: '/w/:id/helper/:session?', name: 'helper', meta: { alone: true }, component: () => import('../day/HelperPage.vue') },
    { path: '/w/:id/floor/:session?', name: 'floor', component: () => import('../room/FloorPage.vue') },
    { path: '/w/:id/rehearsal/:session?', name: 'rehearsal', component: () => import('../rehearsal/RehearsalPage.vue') },
    { path: '/w/:id/take-home', name: 'take-home', component: () => import('../takehome/TakeHomePage.vue') },
    { path: '/w/:id/clinic', name: 'clinic', component: () => import('../clinic/ClinicPage.vue') },
    { path: '/w/:id/safety', name: 'safety', component: () => import('../safety/SafetyPage.vue') },
    { path: '/clinic', name: 'clinic-alone', component: () => import('../clinic/ClinicPage.vue') },
    { path: '/craft/:section?', name: 'craft', component: () => import('../craft/CraftPage.vue') },
    { path: '/house/:house/recipes', name: 'recipes', component: () => import('../recipes/RecipesPage.vue') },
    { path: '/house/:house/figures', name: 'figures', component: () => import('../house/FiguresPage.vue') },
    { path: '/house/:house/ahead', name: 'ahead', component: () => import('../house/AheadPage.vue') },
    { path: '/house/:house', name: 'house', component: () => import('../house/HousePage.vue') },
    { path: '/:rest(.*)*', name: 'lost', component: () => import('./LostPage.vue') },
  ],
})
