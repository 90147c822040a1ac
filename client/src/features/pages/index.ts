export { addressOfTag } from './tagged-address.ts';
export { destinationsFor, findDestinations, type Destination, type DestinationGroup } from './destinations.ts';
