import { useLocalSearchParams } from 'expo-router';
import { AsPersonScreen } from '@/features/as-person';

export default function SeenRoute() {
  const { person } = useLocalSearchParams<{ person: string }>();
  return <AsPersonScreen key={person} personId={person} />;
}
