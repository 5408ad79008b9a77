// After the build: tells the browser that a page's first chunks are needed as a whole. An engine that knows the hint
// (V8's explicit compile hints; others read a comment) compiles them beside the page's thread while they arrive, instead
// of each function at its first call on that thread. Chunks that are fetched later are left as they are.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runInNewContext } from 'node:vm';

const HINT = '//# allFunctionsCalledOnLoad\n';
const BUILT = process.argv[2] ?? '.next';

/** The scripts that a page's document names, of all pages, relative to the build's directory. */
function firstChunks() {
  const first = new Set(JSON.parse(readFileSync(join(BUILT, 'build-manifest.json'), 'utf8')).rootMainFiles);
  for (const file of readdirSync(join(BUILT, 'server/app'), { recursive: true })) {
    if (!file.endsWith('_client-reference-manifest.js')) continue;
    const manifests = {};
    runInNewContext(readFileSync(join(BUILT, 'server/app', file), 'utf8'), { globalThis: manifests });
    for (const { entryJSFiles } of Object.values(manifests.__RSC_MANIFEST))
      for (const scripts of Object.values(entryJSFiles)) for (const script of scripts) first.add(script);
  }
  return first;
}

const chunks = firstChunks();
if (chunks.size === 0) throw new Error(`No page of ${BUILT} names a script.`);
for (const chunk of chunks) {
  const file = join(BUILT, chunk);
  const text = readFileSync(file, 'utf8');
  if (!text.startsWith(HINT)) writeFileSync(file, HINT + text);
}
console.log(`${chunks.size} chunks of pages are hinted to be compiled as they arrive.`);
