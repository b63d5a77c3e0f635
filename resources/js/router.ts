import { createRouter, createWebHistory } from 'vue-router'
import BenchPlace from './bench/BenchPlace.vue'

export const router = createRouter({
    history: createWebHistory(),
    routes: [
        { path: '/', redirect: '/bench' },
        { path: '/bench', name: 'bench', component: BenchPlace, meta: { title: 'Bench' } },
        { path: '/dogs', name: 'dogs', component: () => import('./dogs/DogsPlace.vue'), meta: { title: 'Dogs' } },
        { path: '/dogs/:id', name: 'dog', component: () => import('./dogs/DogPage.vue'), meta: { title: 'Dog' } },
        { path: '/shelf', name: 'shelf', component: () => import('./shelf/ShelfPlace.vue'), meta: { title: 'Shelf' } },
        { path: '/pantry', name: 'pantry', component: () => import('./pantry/PantryPlace.vue'), meta: { title: 'Pantry' } },
        { path: '/rules', name: 'rules', component: () => import('./telling/RulesPlace.vue'), meta: { title: 'Rule book' } },
        { path: '/report/:dog', name: 'report', component: () => import('./telling/ReportPlace.vue'), meta: { title: 'Screening report' } },
        { path: '/studio', name: 'studio', component: () => import('./baking/StudioPlace.vue'), meta: { title: 'Cut studio' } },
        { path: '/chart', name: 'chart', component: () => import('./feeding/ChartPlace.vue'), meta: { title: 'Week\'s chart' } },
        { path: '/settings', name: 'settings', component: () => import('./kitchen/SettingsPlace.vue'), meta: { title: 'House rules' } },
        { path: '/:rest(.*)*', redirect: '/bench' },
    ],
})

router.afterEach((to) => {
    document.title = `${String(to.meta['title'] ?? 'Bench')} · Mild Bowl`
})
