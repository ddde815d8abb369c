const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');
const crypto = require('node:crypto');
const path = require('node:path');
const { definers } = require('./scripts/definers.cjs');

const config = getDefaultConfig(__dirname);
const usual = config.resolver.resolveRequest;
// tslib's ES module entry uses a default export that Metro's interop does not provide.
const tslib = path.join(path.dirname(require.resolve('tslib/package.json')), 'tslib.es6.js');
/**
 * The schema library ships messages in fifty languages, a compiler and a converter from JSON Schema. The application
 * uses none of them: it shows its own messages.
 */
const UNUSED = /^\.{1,2}\/(core\/)?(locales\/index|compile|from-json-schema)\.js$/;
const isUnused = (from, name) => UNUSED.test(name) && from.includes(`${path.sep}zod${path.sep}`);
config.resolver.resolveRequest = (context, name, platform) =>
  name === 'tslib'
    ? { type: 'sourceFile', filePath: tslib }
    : isUnused(context.originModulePath, name)
      ? { type: 'empty' }
      : (usual ?? context.resolveRequest)(context, name, platform);

// The cache of an earlier build is valid only while every name is still defined in the same file.
config.cacheVersion = crypto.createHash('md5').update(JSON.stringify(definers())).digest('hex');

module.exports = withNativeWind(config, { input: './src/global.css' });
