import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { build, type Plugin } from 'vite';

const DIST = 'dist';
const TEXT = /\.(?:js|css|html|svg|json|webmanifest)$/;

const filesOf = (dir: string): readonly string[] =>
  readdirSync(dir, { recursive: true, withFileTypes: true }).flatMap((entry) =>
    entry.isFile() && !/\.(?:br|gz)$/.test(entry.name)
      ? [relative(dir, join(entry.parentPath, entry.name)).split(sep).join('/')]
      : [],
  );

/**
 * What the service worker holds: every file of the build. Names in assets/ change with what is in them,
 * others are told apart by a hash.
 */
const heldFiles = (): readonly { readonly url: string; readonly revision: string | null }[] =>
  filesOf(DIST)
    .filter((file) => file !== 'sw.js')
    .map((file) => ({
      url: `/${file}`,
      revision: file.startsWith('assets/')
        ? null
        : createHash('sha256')
            .update(readFileSync(join(DIST, file)))
            .digest('hex')
            .slice(0, 16),
    }));

const buildServiceWorker = (): Promise<unknown> =>
  build({
    configFile: false,
    logLevel: 'warn',
    publicDir: false,
    define: {
      'process.env.NODE_ENV': '"production"',
      BUILT_FILES: JSON.stringify(heldFiles()),
    },
    build: {
      outDir: DIST,
      emptyOutDir: false,
      target: 'es2023',
      rolldownOptions: {
        input: 'src/workers/serviceWorker.ts',
        output: { format: 'iife', entryFileNames: 'sw.js' },
      },
    },
  });

/** Every text file of the build, compressed beside itself: the server sends it so. */
function compress(): void {
  for (const file of filesOf(DIST).filter((f) => TEXT.test(f))) {
    const path = join(DIST, file);
    const text = readFileSync(path);
    const brotli = { [constants.BROTLI_PARAM_QUALITY]: 9 };
    writeFileSync(`${path}.br`, brotliCompressSync(text, { params: brotli }));
    writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }));
  }
}

/** After the build: the service worker that holds it, and all of it compressed. */
export const offline = (): Plugin => ({
  name: 'drip-line-offline',
  apply: 'build',
  closeBundle: {
    sequential: true,
    order: 'post',
    handler: async () => {
      await buildServiceWorker();
      compress();
    },
  },
});
