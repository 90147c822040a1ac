import { useLocalSearchParams } from 'expo-router';
import { ItemPage, opensAt } from '@/features/item';

export default function Item() {
  const { id, at } = useLocalSearchParams<{ id: string; at?: string }>();
  return <ItemPage id={id} at={opensAt(at)} />;
}
