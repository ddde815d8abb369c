export { canListen } from './recognition';
export { type Phrase } from './parsePhrase';
export { useReadAloud } from './useReadAloud';
export { useVoiceCommands } from './useVoiceCommands';
export { canSpeak, stopSpeaking, speak } from './voice';
