export { PlaceScreen, PlaceSheet, PlacesScreen } from './fetched.ts';
export { errandsWorker, useOpenOn } from './errands.ts';
export { sayOpen } from './say-place.ts';
