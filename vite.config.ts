import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

// Laravel's @vite reads public/build/manifest.json; the two entries are the application and its print pages.
export default defineConfig({
  plugins: [react(), tailwindcss()],
  base: '/build/',
  publicDir: false,
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    rollupOptions: {
      input: {
        main: 'resources/js/main.tsx',
        print: 'resources/js/print.tsx',
        app: 'resources/css/app.css',
        sw: 'resources/sw/sw.ts',
      },
      // The browser asks for the worker by one name for ever.
      output: { entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js') },
    },
  },
});
