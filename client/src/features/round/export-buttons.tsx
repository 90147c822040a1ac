import { roundAsGeoJson, roundAsGpx, type Errands, type ExportedStop } from '@kotiva/core';
import { Button } from '@/ui';
import { t } from '@/words';

/** The round as a file for other devices: a GPX route, or GeoJSON. */
export function ExportButtons({ stops }: { stops: readonly Errands[] }) {
  const exported = stops.map(({ place, items }): ExportedStop => ({ name: place.name, ...place.position, titles: items.map(({ title }) => title) }));
  return (
    <>
      <Button kind="quiet" onPress={() => save('round.gpx', 'application/gpx+xml', roundAsGpx(t('round.title'), exported))}>
        {t('round.gpx')}
      </Button>
      <Button kind="quiet" onPress={() => save('round.geojson', 'application/geo+json', roundAsGeoJson(t('round.title'), exported))}>
        {t('round.geojson')}
      </Button>
    </>
  );
}

function save(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1_000);
}
