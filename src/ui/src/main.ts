import '@fontsource-variable/atkinson-hyperlegible-next';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router';
import './style/base.css';
import './style/element.css';

// On the crew's network with a certificate the pages stay on the phone; on the laptop itself the server is always there.
if (location.protocol === 'https:' && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js', { type: 'module' });

createApp(App).use(createPinia()).use(router).mount('#app');
