import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue(), Components({ dts: false, dirs: [], resolvers: [ElementPlusResolver({ importStyle: 'css' })] })],
  build: { outDir: process.env.VANTO_WWWROOT ?? 'dist', emptyOutDir: true, chunkSizeWarningLimit: 900, assetsInlineLimit: 0 },
});
