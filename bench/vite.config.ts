import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

// Measured as it runs: built, not through a loader that renames every closure.
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: { ssr: 'main.ts', outDir: '../dist/bench', emptyOutDir: true, target: 'node20', minify: false },
  ssr: { noExternal: ['@lanakit/core'] },
});
