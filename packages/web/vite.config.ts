import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const api = `http://127.0.0.1:${process.env['JASPERWREN_PORT'] ?? 4180}`;

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: { manifest: true, sourcemap: true, chunkSizeWarningLimit: 1200 },
  server: { port: 5173, proxy: { '/api': { target: api } } },
});
