module.exports = require('../../apps/client/babel.config');
