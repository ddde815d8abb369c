/**
 * Writes the service worker that caches the application on the device: every file of the build, named by its hash. Also
 * compresses each text file once, here, so that the server need not do it for each request.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync } from 'node:zlib';
import { generateSW } from 'workbox-build';

const { count, size, warnings } = await generateSW({
  globDirectory: 'dist',
  globPatterns: ['**/*.{js,css,html,ttf,woff2,png,svg,ico,webmanifest}'],
  swDest: 'dist/sw.js',
  // Names with a hash in them are distinguished by it; every other file by what is in it.
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/(healthz|readyz)$/],
  cleanupOutdatedCaches: true,
  importScripts: ['notified.js'],
  inlineWorkboxRuntime: true,
  sourcemap: false,
});
if (warnings.length > 0) throw new Error(warnings.join('\n'));
for (const name of readdirSync('dist', { recursive: true })) {
  if (!/\.(js|css|html|svg|webmanifest)$/.test(name)) continue;
  writeFileSync(`dist/${name}.br`, brotliCompressSync(readFileSync(`dist/${name}`)));
}
console.log(`${count} files, ${Math.round(size / 1024)} KiB kept on the device`);
