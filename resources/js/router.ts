import { createRouter, createWebHistory } from 'vue-router'
import BenchPlace from './bench/BenchPlace.vue'
import { tell } from './ui/notices'

/** Each thing has an address of its own: a recipe, a dog, a rule, a jar. `place` is the door of the rail that a page belongs to; `away`: it says nothing wrong where the kitchen never answered. */
export const router = createRouter({
    history: createWebHistory(),
    scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? {} : { top: 0 }),
    routes: [
        { path: '/', redirect: '/today' },
        { path: '/today', name: 'today', component: () => import('./feeding/TodayPlace.vue'), meta: { title: 'Today', place: 'today' } },
        {
            path: '/occasions',
            name: 'occasions',
            component: () => import('./feeding/OccasionsPlace.vue'),
            meta: { title: 'Occasions', place: 'today' },
        },
        {
            path: '/occasions/:id',
            name: 'occasion',
            component: () => import('./feeding/OccasionPlace.vue'),
            meta: { title: 'Occasion', place: 'today' },
        },
        { path: '/bench/:sheet?', name: 'bench', component: BenchPlace, meta: { title: 'Bench', place: 'bench', away: true } },
        { path: '/studio', name: 'studio', component: () => import('./baking/StudioPlace.vue'), meta: { title: 'Cut studio', place: 'bench' } },
        { path: '/shelf', name: 'shelf', component: () => import('./shelf/ShelfPlace.vue'), meta: { title: 'Shelf', place: 'bench' } },
        { path: '/card/:id', name: 'card', component: () => import('./shelf/CardPlace.vue'), meta: { title: 'Card', place: 'bench' } },
        { path: '/chart', name: 'chart', component: () => import('./feeding/ChartPlace.vue'), meta: { title: "Week's chart", place: 'bench' } },
        {
            path: '/report/:dog',
            name: 'report',
            component: () => import('./telling/ReportPlace.vue'),
            meta: { title: 'Screening report', place: 'bench' },
        },
        { path: '/oven', name: 'oven', component: () => import('./making/OvenPlace.vue'), meta: { title: 'Oven', place: 'oven' } },
        { path: '/oven/:id', name: 'batch', component: () => import('./making/BatchPlace.vue'), meta: { title: 'At the oven', place: 'oven' } },
        { path: '/jars/:bag?', name: 'jars', component: () => import('./keeping/JarsPlace.vue'), meta: { title: 'Jars', place: 'jars' } },
        {
            path: '/labels/print',
            name: 'bag-labels',
            component: () => import('./telling/PrintPlace.vue'),
            meta: { title: 'Cards and labels', place: 'jars' },
        },
        { path: '/dogs', name: 'dogs', component: () => import('./dogs/DogsPlace.vue'), meta: { title: 'Dogs', place: 'dogs' } },
        {
            path: '/dogs/:id/days',
            name: 'dog-days',
            component: () => import('./watching/SeasonPlace.vue'),
            meta: { title: 'Its days', place: 'dogs' },
        },
        {
            path: '/dogs/:id/trials',
            name: 'dog-trials',
            component: () => import('./watching/TrialsPlace.vue'),
            meta: { title: 'Trials', place: 'dogs' },
        },
        {
            path: '/dogs/:id/likes',
            name: 'dog-likes',
            component: () => import('./watching/LikesPlace.vue'),
            meta: { title: 'What it likes', place: 'dogs' },
        },
        { path: '/dogs/:id/vet', name: 'dog-vet', component: () => import('./watching/VetPrint.vue'), meta: { title: 'For the vet', place: 'dogs' } },
        { path: '/dogs/:id', name: 'dog', component: () => import('./dogs/DogPage.vue'), meta: { title: 'Dog', place: 'dogs' } },
        {
            path: '/cupboard',
            component: () => import('./kitchen/CupboardPlace.vue'),
            meta: { title: 'Cupboard', place: 'cupboard' },
            children: [
                { path: '', redirect: '/cupboard/labels' },
                { path: 'labels', name: 'labels', component: () => import('./pantry/LabelsPart.vue'), meta: { title: 'Labels' } },
                { path: 'foods', name: 'foods', component: () => import('./pantry/OwnPantry.vue'), meta: { title: 'Foods of your own' } },
                { path: 'swaps', name: 'swaps', component: () => import('./pantry/OwnSwaps.vue'), meta: { title: 'Swaps of your own' } },
                { path: 'at-hand', name: 'at-hand', component: () => import('./pantry/AtHand.vue'), meta: { title: 'At hand' } },
                { path: 'prices', name: 'prices', component: () => import('./pantry/PriceList.vue'), meta: { title: 'Prices' } },
                { path: 'rules', name: 'rules', component: () => import('./telling/RulesPlace.vue'), meta: { title: 'Rule book' } },
                {
                    path: 'confirmed',
                    name: 'confirmed',
                    component: () => import('./pantry/ConfirmationRecords.vue'),
                    meta: { title: 'What was confirmed' },
                },
                { path: 'house', name: 'house', component: () => import('./kitchen/SettingsPlace.vue'), meta: { title: 'House rules' } },
                { path: 'shopping', name: 'shopping', component: () => import('./pantry/ShoppingPart.vue'), meta: { title: 'Shopping', away: true } },
                { path: 'in-and-out', name: 'in-and-out', component: () => import('./kitchen/InOutPart.vue'), meta: { title: 'In and out' } },
                { path: 'backup', name: 'backup', component: () => import('./kitchen/BackupPart.vue'), meta: { title: 'Backup' } },
                { path: 'trash', name: 'trash', component: () => import('./kitchen/TrashPart.vue'), meta: { title: 'Trash' } },
            ],
        },
        // addresses of before
        { path: '/pantry', redirect: '/cupboard/labels' },
        { path: '/rules', redirect: '/cupboard/rules' },
        { path: '/settings', redirect: '/cupboard/house' },
        { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./kitchen/NowherePlace.vue'), meta: { title: 'No such place', place: '' } },
    ],
})

/** Once the first place stands, the others are fetched: they open at once, and also while the kitchen is away. */
export function fetchPlaces(): void {
    const fetch = (): void => {
        for (const { component } of router.getRoutes().flatMap((one) => Object.values(one.components ?? {}).map((it) => ({ component: it }))))
            if (typeof component === 'function') void (component as () => Promise<unknown>)().catch(() => undefined)
    }
    if ('requestIdleCallback' in window) requestIdleCallback(fetch, { timeout: 5_000 })
    else setTimeout(fetch, 2_000)
}

/** A place that was not fetched before the network went is not there: that is said, and the one that stands stays. */
router.onError((_error, to) => {
    tell(`${String(to.meta['title'] ?? 'That place')} cannot be opened just now. Try again in a moment.`)
})

router.afterEach((to) => {
    document.title = `${String(to.meta['title'] ?? 'Bench')} · Mild Bowl`
})
