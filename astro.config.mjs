import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, passthroughImageService } from 'astro/config';
import { build } from 'esbuild';
import { readdirSync } from 'node:fs';

/** Bundles what the server runs in threads of its own, and the door to the home network, which the launcher opens. */
const threads = {
  name: 'threads',
  hooks: {
    'astro:build:done': () =>
      build({
        entryPoints: [
          ...readdirSync('src/server/threads')
            .filter((name) => name.endsWith('.thread.ts'))
            .map((name) => ({ in: `src/server/threads/${name}`, out: name.replace('.thread.ts', '') })),
          { in: 'src/server/door/door.ts', out: 'door' },
        ],
        outExtension: { '.js': '.mjs' },
        outdir: 'dist/threads',
        bundle: true,
        platform: 'node',
        format: 'esm',
        target: 'node20',
        // A native driver is loaded as it is.
        external: ['better-sqlite3'],
        banner: { js: "import { createRequire as requiring } from 'node:module'; const require = requiring(import.meta.url);" },
      }),
  },
};

/** Libraries that some pages need and most do not, each in a file of its own. */
const LIBRARIES = [
  [/node_modules\/(react|react-dom|scheduler|use-sync-external-store)\//, 'react'],
  [/node_modules\/clipper2-ts\/|src\/core\/shape\/regions\.ts/, 'polygons'],
  [/node_modules\/(yup|property-expr|tiny-case|toposort|react-hook-form|@hookform)\//, 'forms'],
  [/node_modules\/@dnd-kit\//, 'sorting'],
  [/node_modules\/@use-gesture\//, 'gestures'],
];

export default defineConfig({
  output: 'server',
  // Our own server hands out files and compresses; the application only sees what is its own.
  adapter: node({ mode: 'middleware' }),
  integrations: [react(), threads],
  // Our own middleware checks Host and Origin on every write, JSON posts included.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  telemetry: false,
  // Pictures are handed out as they are; the address of the framework's own service answers that there is none.
  image: { service: passthroughImageService(), endpoint: { route: '/_image', entrypoint: './src/server/no-pictures.ts' } },
  experimental: {
    // Astro hashes the scripts it writes; src/middleware.ts moves them into our HTTP header.
    csp: true,
  },
  vite: {
    plugins: [tailwindcss()],
    build: {
      chunkSizeWarningLimit: 900,
      // Dozens of tiny files cost more in requests than they save.
      // Large libraries stand by themselves, so that no page fetches one for the sake of what would be put beside it.
      rollupOptions: {
        output: {
          experimentalMinChunkSize: 1_500,
          // What a library needs of ours stays where it is: a page would fetch the library for its sake.
          onlyExplicitManualChunks: true,
          manualChunks: (id) => LIBRARIES.find(([at]) => at.test(id))?.[1],
        },
      },
    },
  },
});
