const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');
const crypto = require('node:crypto');
const path = require('node:path');
const { definers } = require('./scripts/definers.cjs');

const config = getDefaultConfig(__dirname);
const usual = config.resolver.resolveRequest;
// tslib's own entry for modules takes a default export that Metro's interop does not give it.
const tslib = path.join(path.dirname(require.resolve('tslib/package.json')), 'tslib.es6.js');
/**
 * The schema library carries its messages in fifty languages, where those that are shown are our own, a compiler, and a
 * way from JSON Schema: none of it is asked for on a device.
 */
const UNUSED = /^\.{1,2}\/(core\/)?(locales\/index|compile|from-json-schema)\.js$/;
const isUnused = (from, name) => UNUSED.test(name) && from.includes(`${path.sep}zod${path.sep}`);
config.resolver.resolveRequest = (context, name, platform) =>
  name === 'tslib'
    ? { type: 'sourceFile', filePath: tslib }
    : isUnused(context.originModulePath, name)
      ? { type: 'empty' }
      : (usual ?? context.resolveRequest)(context, name, platform);

// What is kept of an earlier build holds while every name is still defined where it was.
config.cacheVersion = crypto.createHash('md5').update(JSON.stringify(definers())).digest('hex');

module.exports = withNativeWind(config, { input: './src/global.css' });
