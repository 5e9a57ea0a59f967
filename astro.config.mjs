import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  // Our own middleware checks Host and Origin on every write, JSON posts included.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  telemetry: false,
  experimental: {
    // Astro hashes the scripts it writes; src/middleware.ts moves them into our HTTP header.
    csp: true,
  },
  vite: {
    plugins: [tailwindcss()],
    build: { chunkSizeWarningLimit: 900 },
  },
});
