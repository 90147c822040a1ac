import { useLocalSearchParams } from 'expo-router';
import { PersonScreen } from '@/features/people';

export default function PersonRoute() {
  const { person } = useLocalSearchParams<{ person: string }>();
  return <PersonScreen personId={person} />;
}
