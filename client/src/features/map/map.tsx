import { lazy, Suspense } from 'react';
import { View } from 'react-native';
import { Txt } from '@/ui';
import { t } from '@/words';
import type { MapProps } from './marks.ts';

// the library that draws comes when a map is first looked at
const DrawnMap = lazy(() => import('./drawn-map'));

/** A map of the places. Everything on it stands in a list beside it too. */
export function Map(props: MapProps) {
  const { height } = props;
  return (
    <View className="z-0 overflow-hidden border-b border-line bg-ground" style={{ height }}>
      <Suspense
        fallback={
          <Txt role="status" tone="muted" className="p-4">
            {t('map.coming')}
          </Txt>
        }
      >
        <DrawnMap {...props} />
      </Suspense>
    </View>
  );
}
