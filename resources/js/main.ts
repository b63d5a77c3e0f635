import '@fontsource-variable/fraunces/index.css'
import '@fontsource-variable/nunito-sans/index.css'
import 'vuetify/styles'
import './styles.css'
import './bench/paper.css'
import { createApp } from 'vue'
import App from './App.vue'
import { layBench } from './bench/layBench'
import { router } from './router'
import { vuetify } from './ui/vuetify'

const app = createApp(App)
layBench(app)
app.use(router).use(vuetify).mount('#app')
