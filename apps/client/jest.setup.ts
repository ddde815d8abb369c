import { setUpTests } from 'react-native-reanimated';
import { setLater } from '@/store/later';

setUpTests();

// The later part without its screens: a test that shows one imports it itself.
setLater(async () => ({
  ...(await import('@/shared/beyond/rest')),
  ...(await import('@/store/wholeSchemas')),
}));
