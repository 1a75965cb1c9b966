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
    rollupOptions: { input: ['resources/js/main.tsx', 'resources/js/print.tsx', 'resources/css/app.css'] },
  },
});
