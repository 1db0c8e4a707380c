import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

// Run as it is built: the server is a process of its own, as a maker starts it.
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: { ssr: 'main.ts', outDir: '../dist/harness', emptyOutDir: true, target: 'node20', minify: false },
  ssr: { noExternal: true, external: ['better-sqlite3'] },
});
