import { useLocalSearchParams } from 'expo-router';
import { ChoreScreen } from '@/features/chores';

export default function ChoreRoute() {
  const { chore } = useLocalSearchParams<{ chore: string }>();
  return <ChoreScreen seriesId={chore} />;
}
