const { colours, fontFamily, fontSize } = require('./src/shared/ui/tokens.cjs');

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: Object.fromEntries(
        Object.keys(colours.light).map((name) => [name, `var(--${name})`]),
      ),
      fontFamily,
      fontSize,
      borderRadius: { DEFAULT: '3px' },
    },
  },
  plugins: [],
};
