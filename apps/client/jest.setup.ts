import { setUpTests } from 'react-native-reanimated';
import { setLater } from '@/store/later';

setUpTests();

// The later chunk without its screens: a test that shows a screen imports it itself.
setLater(async () => ({
  ...(await import('@/shared/beyond/rest')),
  ...(await import('@/store/wholeSchemas')),
}));
