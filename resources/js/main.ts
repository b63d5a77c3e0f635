import '@fontsource-variable/fraunces/index.css'
import '@fontsource-variable/nunito-sans/index.css'
import 'vuetify/styles'
import './styles.css'
import { createApp } from 'vue'
import App from './App.vue'
import { layBench } from './bench/layBench'
import { fetchPlaces, router } from './router'
import { stylesComeLate } from './ui/later'
import { ownStore } from './ui/store'
import { vuetify } from './ui/vuetify'

stylesComeLate()
// what was typed before stands there when the page does
await ownStore().open()
const app = createApp(App)
layBench(app)
app.use(router).use(vuetify).mount('#app')
/** After the places were fetched: what it keeps is then in the browser's cache already. */
const WORKER_AFTER_MS = 4_000
void router.isReady().then(() => {
    setTimeout(fetchPlaces, 1_500)
    // where a browser has none or lets none be kept, the page opens only while the kitchen answers
    if ('serviceWorker' in navigator && import.meta.env.PROD)
        setTimeout(() => void navigator.serviceWorker.register('/sw.js').catch(() => undefined), WORKER_AFTER_MS)
})
