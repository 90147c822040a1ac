import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const PlaceScreen = drawnLater(() => screens().then((all) => all.PlaceScreen));
export const PlacesScreen = drawnLater(() => screens().then((all) => all.PlacesScreen));
export const PlaceSheet = drawnLater(() => screens().then((all) => all.PlaceSheet));
