import { cpSync } from 'node:fs';
import path from 'node:path';
import { defineConfig, type Plugin } from 'vite';

const here = import.meta.dirname;
const out = path.join(here, 'dist');

/**
 * What a worker thread runs is named by its file and never imported: it is built too, and named as it
 * is called then.
 */
function threads(): Plugin {
  const started = /new URL\('(\.[^']+)\.ts', import\.meta\.url\)/g;
  return {
    name: 'threads',
    enforce: 'pre',
    transform(code, id) {
      const files = [...code.matchAll(started)].map(([, file]) => `${file}.ts`);
      if (files.length === 0) return undefined;
      for (const file of files)
        this.emitFile({
          type: 'chunk',
          id: path.resolve(path.dirname(id), file),
          preserveSignature: 'strict',
        });
      return { code: code.replaceAll(started, "new URL('$1.js', import.meta.url)"), map: null };
    },
  };
}

/** The demo's sheets are found as in the sources. */
function demoFiles(): Plugin {
  const folder = path.join('contract', 'demo');
  return {
    name: 'demo-files',
    writeBundle() {
      cpSync(path.join(here, '..', folder), path.join(out, folder), { recursive: true });
    },
  };
}

/**
 * The server as plain JavaScript. Every module keeps its place, so that what lies beside it is found as in
 * the sources.
 */
export default defineConfig({
  root: here,
  plugins: [threads(), demoFiles()],
  build: {
    ssr: true,
    target: 'node20',
    outDir: out,
    emptyOutDir: true,
    sourcemap: true,
    rolldownOptions: {
      input: ['main', 'start-server'].map((name) => path.join(here, 'src', `${name}.ts`)),
      output: { preserveModules: true, preserveModulesRoot: path.dirname(here), entryFileNames: '[name].js' },
    },
  },
});
