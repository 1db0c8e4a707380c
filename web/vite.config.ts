import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

// Lazy routes split the code; only React gets a chunk of its own, for caching.
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 1000,
    rolldownOptions: {
      treeshake: {
        // A schema that nobody here checks anything by is not sent to every browser.
        manualPureFunctions: ['Type', 'discriminated', 'orUnknown', 'oneOf'],
      },
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|react-router|scheduler|swr)[\\/]/ },
          ],
        },
      },
    },
  },
  // Under the name it was asked by: a write has to come from a page of the very address that is asked.
  server: { port: 5173, proxy: { '/api': { target: 'http://127.0.0.1:4310', changeOrigin: false } } },
});
