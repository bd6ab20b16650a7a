import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { validators } from './scripts/validators';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('web'),
  plugins: [
    // White space in templates counts as in HTML: the formatter may break a line wherever there is some.
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    validators(),
    compression({
      include: /\.(js|css|svg)$/,
      threshold: 1000,
      algorithms: [
        defineAlgorithm('gzip', { level: 9 }),
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
      ],
    }),
  ],
  resolve: {
    alias: [
      { find: /^@core\/(.+)$/, replacement: here('core/$1/index.ts') },
      { find: '@contract', replacement: here('contract/index.ts') },
    ],
  },
  build: {
    outDir: here('dist/web'),
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 900,
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  worker: { format: 'es' },
  server: {
    port: 4781,
    strictPort: true,
    proxy: {
      '/api': {
        target: 'http://127.0.0.1:4780',
        changeOrigin: true,
        headers: { origin: 'http://127.0.0.1:4780' },
      },
    },
  },
});
