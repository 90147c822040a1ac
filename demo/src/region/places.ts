import type { MapPoint } from './frame.ts';

/** What stands where, with its address: the demo's places and some more that can be found by their address. */
export interface Known {
  at: MapPoint;
  address: string;
}

export const KNOWN: Record<string, Known> = {
  Guesthouse: { at: [0, 40], address: 'Shore lane 12' },
  Quay: { at: [150, -80], address: 'Shore lane 12, by the water' },
  'Village shop': { at: [2400, 1100], address: 'Church street 3' },
  Dairy: { at: [2500, 5500], address: 'Meadow road 41' },
  'Engine workshop': { at: [6750, 680], address: 'River road 8' },
  'Hardware store': { at: [2650, 1420], address: 'Lake road 118' },
  Pharmacy: { at: [2150, 1460], address: 'Lake road 104' },
  'Post point': { at: [2050, 1030], address: 'Church street 9' },
  'Recycling yard': { at: [4300, 1500], address: 'Lake road 160' },
  'Timber yard': { at: [5200, 1250], address: 'Lake road 201' },
  Bakery: { at: [2950, 1230], address: 'Mill street 2' },
  'Health centre': { at: [1800, 1680], address: 'Lake road 96' },
  Library: { at: [2700, 860], address: 'Church street 14' },
  School: { at: [3000, 1900], address: 'School hill 1' },
  'Ice rink': { at: [3350, 2080], address: 'School hill 5' },
  Vet: { at: [3900, 1190], address: 'Lake road 147' },
  Church: { at: [2330, 780], address: 'Church street 20' },
  'Ferry landing': { at: [1150, -930], address: 'Ferry lane 1' },
  'Filling station': { at: [2900, 1480], address: 'Lake road 122' },
  'Old mill': { at: [7050, 1050], address: 'River road 2' },
};
