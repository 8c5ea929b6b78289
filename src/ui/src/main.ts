import '@fontsource-variable/atkinson-hyperlegible-next';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router';
import './style/base.css';
import './style/element.css';

createApp(App).use(createPinia()).use(router).mount('#app');
