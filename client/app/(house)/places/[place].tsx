import { useLocalSearchParams } from 'expo-router';
import { PlaceScreen } from '@/features/places';

export default function Place() {
  const { place } = useLocalSearchParams<{ place: string }>();
  return <PlaceScreen key={place} id={place} />;
}
