import { fileURLToPath } from 'node:url'

const core = fileURLToPath(new URL('./core', import.meta.url))
// class-validator's classes are written with the older decorators; every compiler in the house must agree on that
const decorators = { experimentalDecorators: true, useDefineForClassFields: false }
const typed = { compilerOptions: { ...decorators, noUncheckedIndexedAccess: true } }

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  modules: ['@nuxt/eslint', '@pinia/nuxt', 'vuetify-nuxt-module', '@vite-pwa/nuxt'],
  eslint: { config: { stylistic: false } },
  alias: { '#core': core },
  features: { inlineStyles: false },
  css: ['@fontsource-variable/source-sans-3', '@fontsource-variable/source-serif-4', '~/assets/shop.css'],
  app: {
    head: {
      title: 'Fingerling',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        {
          name: 'description',
          content: 'Designs the wall holders for your tools, and shows the working of every figure',
        },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  vuetify: {
    moduleOptions: { styles: true },
    vuetifyOptions: './app/vuetify.config.ts',
  },
  typescript: {
    strict: true,
    tsConfig: typed,
    nodeTsConfig: {
      compilerOptions: { ...typed.compilerOptions, paths: { '#core/*': [`${core}/*`] } },
    },
  },
  // so that the cards of the bench work where the wireless doesn't: the pages are kept, and what was read last
  pwa: {
    registerType: 'autoUpdate',
    manifest: {
      name: 'Fingerling',
      short_name: 'Fingerling',
      description: 'Wall holders for your tools',
      display: 'standalone',
      start_url: '/',
      background_color: '#f6f3ea',
      theme_color: '#f6f3ea',
      icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,svg,woff2,wasm}'],
      maximumFileSizeToCacheInBytes: 8_000_000,
      additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      runtimeCaching: [
        {
          urlPattern: ({ url, request }) =>
            request.method === 'GET' && /^\/api\/(shops|tools|holders|works|walls)(\/|$)/.test(url.pathname),
          handler: 'NetworkFirst',
          options: { cacheName: 'records', expiration: { maxEntries: 200 } },
        },
      ],
    },
  },
  nitro: {
    alias: { '#core': core },
    moduleSideEffects: ['reflect-metadata'],
    // the faces of the PDFs
    serverAssets: [
      {
        baseName: 'faces',
        dir: fileURLToPath(new URL('./node_modules/@fontsource/source-sans-3/files', import.meta.url)),
        pattern: 'source-sans-3-*-{400,700}-normal.woff',
      },
    ],
    typescript: { tsConfig: typed },
    esbuild: { options: { tsconfigRaw: { compilerOptions: decorators } } },
  },
  vite: {
    esbuild: { tsconfigRaw: { compilerOptions: decorators }, logOverride: { 'css-syntax-error': 'silent' } },
    worker: { format: 'es' },
    optimizeDeps: { exclude: ['manifold-3d'] },
  },
})
