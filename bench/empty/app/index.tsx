import { Text, View } from 'react-native';
import { useSelector } from 'react-redux';

/** The only screen of an empty application: measures the weight of the stack itself. */
export default function Empty() {
  const times = useSelector((s: { seen: { times: number } }) => s.seen.times);
  return (
    <View className="flex-1 items-center" role="main" testID="empty">
      <Text className="text-base">{times}</Text>
    </View>
  );
}
