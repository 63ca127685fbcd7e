import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { offline } from './scripts/offline.ts';

/** What every page draws with, in one piece: cut up it is longer. */
const REACT = { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler)[\\/]/ };

export default defineConfig({
  plugins: [react(), tailwindcss(), offline()],
  build: {
    outDir: 'dist',
    target: 'es2023',
    assetsInlineLimit: 0,
    rolldownOptions: { output: { codeSplitting: { groups: [REACT] } } },
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5173 },
});
