import { useState } from 'react';
import { View } from 'react-native';
import { SurveyScreen } from './SurveyScreen';

/** A new repair: its survey. */
export function NewScreen() {
  const [width, setWidth] = useState(0);
  return (
    <View className="flex-1" onLayout={(e) => setWidth(Math.min(e.nativeEvent.layout.width, 620))}>
      <SurveyScreen width={width} />
    </View>
  );
}
