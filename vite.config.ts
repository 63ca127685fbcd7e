import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { offline } from './scripts/offline.ts';

export default defineConfig({
  plugins: [react(), tailwindcss(), offline()],
  build: { outDir: 'dist', target: 'es2023', assetsInlineLimit: 0 },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5173 },
});
