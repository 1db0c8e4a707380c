import { defineConfig } from 'vite';
import { fileURLToPath } from 'node:url';

// One file for Node: core is bundled in, registry packages stay outside (better-sqlite3 is native).
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: {
    ssr: 'src/main.ts',
    outDir: '../dist/server',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'main.js' } },
  },
  // Ajv's CommonJS hides its named exports from Node's loader; bundled, they are there.
  ssr: { noExternal: ['@lanakit/core', 'ajv'] },
});
