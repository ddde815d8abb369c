/** @type {import('tailwindcss').Config} */
module.exports = { content: ['./app/**/*.tsx'], presets: [require('nativewind/preset')] };
