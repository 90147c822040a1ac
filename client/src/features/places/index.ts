export { PlaceScreen } from './place-screen.tsx';
export { PlacesScreen } from './places-screen.tsx';
export { errandsWorker, useOpenOn } from './errands.ts';
export { sayOpen } from './say-place.ts';
