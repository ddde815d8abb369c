/** Writes the service worker that keeps the shell on the device: every file of the build, told apart by its hash. */
import { generateSW } from 'workbox-build';

const { count, size, warnings } = await generateSW({
  globDirectory: 'dist',
  globPatterns: ['**/*.{js,css,html,ttf,woff2,png,svg,ico,webmanifest}'],
  swDest: 'dist/sw.js',
  // Names with a hash in them are told apart by it; every other file by what is in it.
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
console.log(`${count} files, ${Math.round(size / 1024)} KiB kept on the device`);
