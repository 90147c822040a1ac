export { destinationsFor, findDestinations, type Destination, type DestinationGroup } from './destinations.ts';
