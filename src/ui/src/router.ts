import { createRouter, createWebHistory } from 'vue-router';
import Yard from './yard/Yard.vue';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'yard', component: Yard },
    { path: '/rig/:id/measuring-sheet', name: 'sheet', component: () => import('./stations/survey/MeasuringSheet.vue'), props: true },
    { path: '/rig/:id/:station?/:leaf?', name: 'rig', component: () => import('./run/RigFrame.vue'), props: true },
    { path: '/join', name: 'join', component: () => import('./crew/JoinPage.vue') },
    { path: '/shop', name: 'shop', component: () => import('./shop/Shop.vue') },
    { path: '/bench/:name?', name: 'bench', component: () => import('./bench/Bench.vue'), props: true },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
