export { hasEar } from './ear';
export { type Said } from './understand';
export { useSpoken } from './useSpoken';
export { useVoice } from './useVoice';
export { hasVoice, hush, speak } from './voice';
