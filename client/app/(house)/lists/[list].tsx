import { useLocalSearchParams } from 'expo-router';
import { ListScreen } from '@/features/lists';

export default function ListRoute() {
  const { list } = useLocalSearchParams<{ list: string }>();
  return <ListScreen listId={list} />;
}
