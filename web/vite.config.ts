import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: 'es2022', manifest: 'built.json', assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  worker: { format: 'es' },
});
