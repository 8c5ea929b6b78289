import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig, type Plugin } from 'vite';

/** Names every file of the pages, so that the service worker can keep them all. */
const files: Plugin = {
  name: 'files-of-the-pages',
  generateBundle(_, bundle) {
    const all = Object.keys(bundle).filter((name) => name.startsWith('assets/') && !name.endsWith('.map'));
    this.emitFile({ type: 'asset', fileName: 'files.json', source: JSON.stringify(all.map((name) => '/' + name)) });
  },
};

export default defineConfig({
  plugins: [vue(), Components({ dts: false, dirs: [], resolvers: [ElementPlusResolver({ importStyle: 'css' })] }), files],
  build: {
    outDir: process.env.VANTO_WWWROOT ?? 'dist',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    assetsInlineLimit: 0,
    rollupOptions: {
      input: { index: 'index.html', sw: 'src/sw.ts' },
      output: { entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js') },
    },
  },
});
