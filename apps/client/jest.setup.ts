import { setUpTests } from 'react-native-reanimated';
import { setLaterChunk } from '@/store/laterChunk';

setUpTests();

// The later chunk without its screens: a test that shows a screen imports it itself.
setLaterChunk(async () => ({
  ...(await import('@/shared/laterChunk/rest')),
  ...(await import('@/store/wholeSchemas')),
}));
