import { setUpTests } from 'react-native-reanimated';

setUpTests();
