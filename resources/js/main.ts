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
void router.isReady().then(() => {
    setTimeout(fetchPlaces, 1_500)
})
