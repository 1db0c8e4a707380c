import { defineConfig } from 'vite';
import { fileURLToPath } from 'node:url';

// For Node, and a worker beside it: core is bundled in, registry packages stay outside (better-sqlite3 is native).
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: {
    ssr: true,
    outDir: '../dist/server',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: {
      input: { main: 'src/main.ts', pdfWorker: 'src/papers/pdfWorker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  // Ajv's CommonJS hides its named exports from Node's loader; bundled, they are there.
  ssr: { noExternal: ['@lanakit/core', '@lanakit/demo', 'ajv'] },
});
