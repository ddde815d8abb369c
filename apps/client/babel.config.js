const { fromDefiners } = require('./scripts/definers.cjs');

module.exports = function (api) {
  const bundled = api.caller((caller) => caller?.name === 'metro');
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    plugins: bundled ? [fromDefiners] : [],
  };
};
