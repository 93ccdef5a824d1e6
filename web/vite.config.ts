import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: { outDir: '../server/client/dist', emptyOutDir: true, chunkSizeWarningLimit: 700 },
  test: { pool: 'threads', isolate: false },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
});
