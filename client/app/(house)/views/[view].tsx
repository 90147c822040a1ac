import { useLocalSearchParams } from 'expo-router';
import { ViewScreen } from '@/features/views';

export default function ViewRoute() {
  const { view } = useLocalSearchParams<{ view: string }>();
  return <ViewScreen viewId={view} />;
}
