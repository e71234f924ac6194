import { readFileSync } from 'node:fs'
import { fileURLToPath, URL } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'

const server = process.env.OBLUME_SERVER ?? 'http://localhost:8080'

/** Writes the files of this build into the service worker, and asks for the type that every page needs before the style does. */
function offline(): Plugin {
  return {
    name: 'oblume-offline',
    apply: 'build',
    enforce: 'post',
    generateBundle(_, bundle) {
      const files = Object.keys(bundle).filter((file) => file.startsWith('assets/'))
      this.emitFile({
        type: 'asset',
        fileName: 'sw.js',
        source: readFileSync(new URL('./src/sw.js', import.meta.url), 'utf8').replace(
          "['__FILES__']",
          JSON.stringify(['/icon.svg', ...files.map((file) => `/${file}`)]),
        ),
      })
    },
    transformIndexHtml: {
      order: 'post',
      handler: (_, { bundle = {} }) =>
        Object.keys(bundle)
          .filter((file) => /-latin-wght-normal.*\.woff2$/.test(file))
          .map((file) => ({
            tag: 'link',
            attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
            injectTo: 'head',
          })),
    },
  }
}

export default defineConfig({
  plugins: [vue(), tailwindcss(), offline()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  server: { proxy: { '/api': server } },
  build: { outDir: 'target/classes/static', emptyOutDir: true },
})
