import { View } from 'react-native';
import type { MapProps } from '@/features/map/marks.ts';

/** Stands in for the map, whose library needs a real browser: the marks by their names. */
export function Map({ label, marks, onOpen }: MapProps) {
  return (
    <View role="region" aria-label={label}>
      {marks.map(({ id, name, words }) => (
        <View key={id} role="img" aria-label={[name, words].filter(Boolean).join(', ')} onPointerDown={() => onOpen?.(id)} />
      ))}
    </View>
  );
}
