import { defineConfig, type Plugin } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Names the scripts of the first screen in the page, so that they are fetched beside the entry that asks for them. */
function preloadFirstScreen(): Plugin {
  return {
    name: 'preload-first-screen',
    transformIndexHtml: {
      order: 'post',
      handler(_html, { bundle }) {
        if (!bundle) return [];
        const files = new Set<string>();
        const add = (file: string) => {
          const chunk = bundle[file];
          if (files.has(file) || chunk?.type !== 'chunk') return;
          files.add(file);
          chunk.imports.forEach(add);
        };
        for (const chunk of Object.values(bundle)) if (chunk.type === 'chunk' && chunk.name === 'start') add(chunk.fileName);
        return [...files].map((file) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `./${file}` },
          injectTo: 'head' as const,
        }));
      },
    },
  };
}

/** The shaper asks Node for its `module` where it runs there; in a browser it never does. */
function noNode(): Plugin {
  const nothing = '\0no-node';
  return {
    name: 'no-node',
    enforce: 'pre',
    resolveId: (id) => (id === 'module' ? nothing : undefined),
    load: (id) => (id === nothing ? 'export const createRequire = undefined;' : undefined),
  };
}

export default defineConfig({
  root: import.meta.dirname,
  base: './',
  define: { KOLLETA_BUILD: JSON.stringify(process.env['KOLLETA_BUILD'] ?? 'unbuilt') },
  plugins: [
    noNode(),
    react(),
    tailwindcss(),
    preloadFirstScreen(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['kolleta.svg'],
      manifest: {
        name: 'Kolleta',
        short_name: 'Kolleta',
        description: 'Plans, cuts and times the making of adhesive-vinyl decals.',
        start_url: './',
        scope: './',
        display: 'standalone',
        background_color: '#E9E4DA',
        theme_color: '#22302f',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,otf,woff,woff2,wasm}'],
        // faces for the screen come as woff2; the same faces as woff are only kept where outlines are read from them
        globIgnores: ['**/*-{vietnamese,greek,cyrillic}-*.woff2', '**/atkinson-*.woff'],
        navigateFallbackDenylist: [/\/api\//],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
      },
    }),
  ],
  worker: { format: 'es', plugins: () => [noNode()], rolldownOptions: { checks: { bundlerTimings: false } } },
  optimizeDeps: { entries: ['index.html', 'src/workers/planner.worker.ts'] },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      checks: { bundlerTimings: false },
      output: {
        codeSplitting: {
          groups: [
            { name: 'early', test: /preload-helper|workers\/plannerWorker/, priority: 3 },
            // what every screen needs is one file: a dozen small ones cost the first start more than they save. Runs of the cutter bring all that
            // lays film out with them, and only Cut needs them
            {
              name: 'shell',
              priority: 2,
              test: /node_modules\/(react|react-dom|scheduler|react-router|@tanstack|dexie|dexie-react-hooks)\/|web\/src\/(storage\/(?!cutterRuns)|ui\/toasts|workers\/(usePlan|plannerClient))/,
            },
            // so is what half of the pages need: a request for each of its modules costs more than it saves
            { name: 'shared', priority: 1, minShareCount: 6, test: /(web|core)\/src\// },
          ],
        },
      },
    },
  },
});
