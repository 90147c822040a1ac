export { everythingUnder, projectLookedBack } from './everything-under.ts';
export { destinationsFor, findDestinations, type Destination, type DestinationGroup } from './destinations.ts';
export { useHomeScreenEntry } from './own-manifest.ts';
