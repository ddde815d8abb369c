export { canListen } from './ear';
export { type Said } from './understand';
export { useReadAloud } from './useReadAloud';
export { useVoiceCommands } from './useVoiceCommands';
export { canSpeak, hush, speak } from './voice';
