import react from '@vitejs/plugin-react';
import { type Plugin, runnerImport } from 'vite';
import { defineConfig } from 'vitest/config';

/** The styles that stand in every page (src/ui/theme/base.ts), as a file of the client: `import 'virtual:base.css'`. */
function baseStyles(): Plugin {
  return {
    name: 'base-styles',
    resolveId: (asked) => (asked === 'virtual:base.css' ? '/virtual/base.css' : undefined),
    async load(id) {
      if (id !== '/virtual/base.css') return undefined;
      const { module } = await runnerImport<typeof import('./src/ui/theme/base')>('/src/ui/theme/base.ts');
      return module.baseCss();
    },
  };
}

export default defineConfig({
  plugins: [react(), baseStyles()],
  build: { outDir: '../server/client/dist', emptyOutDir: true, chunkSizeWarningLimit: 700 },
  test: { pool: 'threads', isolate: false },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
});
