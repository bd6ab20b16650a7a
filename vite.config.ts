import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { icuMessages } from './scripts/icu-messages';
import { layeredButtons } from './scripts/layered-buttons';
import { leanSchemas } from './scripts/lean-schemas';
import { validators } from './scripts/validators';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

/** Pieces every first view loads: naming one that were not among them would only bring it in a moment later. */
const ALWAYS_THERE =
  /assets[\\/](base|rolldown-runtime|dist|index|derived-film|registry|entities|format|formatter|icon|use-[a-z-]+|_Uint8Array|_flatRest|flatten|vector|angle|ring|location|selection|result|constants|words|event|browser)-[\w-]+\.js$/;

export default defineConfig({
  root: here('web'),
  plugins: [
    // White space in templates counts as in HTML: the formatter may break a line wherever there is some.
    vue({
      template: { compilerOptions: { whitespace: 'preserve' } },
      // No component here or in the library is written with options.
      features: { optionsAPI: false },
    }),
    validators(),
    icuMessages(),
    leanSchemas(),
    layeredButtons(),
    VitePWA({
      // A new version waits until the person takes it: never in the middle of a flight.
      registerType: 'prompt',
      injectRegister: false,
      // On the local network everything but the pairing page wants the device's session.
      useCredentials: true,
      manifest: {
        id: '/',
        name: 'Dusk Slate',
        short_name: 'Dusk Slate',
        description: 'Shots, light, packs and cards of a day in the air.',
        start_url: '/last',
        display: 'standalone',
        background_color: '#19171d',
        theme_color: '#19171d',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm,json}'],
        maximumFileSizeToCacheInBytes: 12_000_000,
        navigateFallback: '/index.html',
        // The page a device is paired on comes from the computer alone.
        navigateFallbackDenylist: [/^\/api\//, /^\/pair\b/, /^\/authority\.crt$/],
        cleanupOutdatedCaches: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
        runtimeCaching: [
          {
            // Height grids and pictures never change under their name.
            urlPattern: ({ url }) => url.pathname.startsWith('/api/assets/'),
            handler: 'CacheFirst',
            options: { cacheName: 'files', expiration: { maxEntries: 400, purgeOnQuotaError: true } },
          },
        ],
      },
    }),
    compression({
      include: /\.(js|css|svg)$/,
      threshold: 256,
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
    chunkSizeWarningLimit: 900,
    // What the first view has loaded need not be named again beside every piece that comes later.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_file, needed, { hostType }) =>
        hostType === 'html' ? needed : needed.filter((name) => !ALWAYS_THERE.test(name)),
    },
    rolldownOptions: {
      checks: { pluginTimings: false },
      output: {
        // What every view needs, in one piece: compressed together it is smaller than in parts.
        codeSplitting: {
          groups: [{ name: 'base', test: /node_modules[\\/](@vue|vue|vue-router|pinia|@vueuse)[\\/]/ }],
        },
      },
    },
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
