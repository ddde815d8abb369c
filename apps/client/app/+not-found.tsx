import { router } from 'expo-router';
import { Frame } from '@/features/frame';
import { Empty } from '@/shared/ui/states';

export default function NotFound() {
  return (
    <Frame tab={null}>
      <Empty
        title="No such page."
        alone
        action={{ label: 'To the bench', onPress: () => router.navigate('/') }}
      >
        The address is not one of Kelmot’s.
      </Empty>
    </Frame>
  );
}
