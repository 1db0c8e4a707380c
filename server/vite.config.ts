import { defineConfig } from 'vite';
import { fileURLToPath } from 'node:url';

// For Node, and a worker beside it. Registry packages are bundled in too: reading five hundred files of them is a third of
// a second at every start.
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: {
    ssr: true,
    outDir: '../dist/server',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: {
      input: {
        main: 'src/main.ts',
        taskWorker: 'src/workers/taskWorker.ts',
        demoStudioWorker: 'src/demoStudioWorker.ts',
        backupCommand: 'src/backupCommand.ts',
        certificateCommand: 'src/certificateCommand.ts',
        passphraseCommand: 'src/passphraseCommand.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
  // What is native, and what is only wanted when a picture or a paper is made, stays outside.
  ssr: { noExternal: true, external: ['better-sqlite3', 'sharp', 'pdfkit', 'pdfmake', 'piscina'] },
});
