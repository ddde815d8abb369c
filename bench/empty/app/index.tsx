import { Text, View } from 'react-native';
import { useSelector } from 'react-redux';

/** The one screen of an application that does nothing: what the stack itself weighs. */
export default function Empty() {
  const times = useSelector((s: { seen: { times: number } }) => s.seen.times);
  return (
    <View className="flex-1 items-center" role="main" testID="empty">
      <Text className="text-base">{times}</Text>
    </View>
  );
}
