require('react-native-reanimated').setUpTests();
