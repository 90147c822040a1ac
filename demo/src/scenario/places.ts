import { open } from './shapes.ts';
import type { DemoList, DemoPlace, DemoPlaceReminder } from './shapes.ts';

/** Where things are done. Those with an address stand on the map of the made-up region. */
export const GUESTHOUSE_PLACES: Record<string, DemoPlace> = {
  Guesthouse: { radius: 120 },
  Quay: { radius: 60 },
  'Village shop': { radius: 80, hours: 'Mo-Fr 07:00-21:00; Sa 08:00-19:00; Su 10:00-18:00' },
  Dairy: { radius: 150, hours: 'Mo-Fr 08:00-15:00' },
  'Engine workshop': { radius: 120, hours: 'Mo-Th 08:00-16:00; Fr 08:00-14:00' },
  'Hardware store': { radius: 80, hours: 'Mo-Fr 08:00-17:00; Sa 09:00-14:00' },
  Pharmacy: { radius: 60, hours: 'Mo-Fr 09:00-18:00; Sa 09:00-14:00' },
  'Post point': { radius: 60, hours: 'Mo-Fr 09:00-18:00' },
  'Recycling yard': { radius: 100, hours: 'Tu,Th 12:00-18:00; Sa 10:00-14:00' },
  'Timber yard': { radius: 150, hours: 'Mo-Fr 07:00-16:00' },
  Bakery: { radius: 60, hours: 'Tu-Sa 06:00-15:00' },
  Library: { radius: 80, hours: 'Mo-Th 11:00-19:00; Fr 11:00-16:00' },
  Kitchen: { unmapped: true },
};
export const HOME_PLACES: Record<string, DemoPlace> = {
  School: { radius: 150 },
  'Ice rink': { radius: 100 },
  Vet: { radius: 80, hours: 'Mo-Fr 09:00-16:00' },
};

const at = (place: string, title: string, effort: number, tags: string[] = []) => open(title, effort, 'low', { place, tags });

/** What nobody goes out for alone. */
export const ERRANDS: DemoList = {
  name: 'Errands',
  purpose: 'Whoever is on the way anyhow',
  colour: 'olive',
  icon: 'car',
  owner: 'Petri',
  edit: ['Aino', 'Oona', 'Eetu'],
  check: ['Tapio', 'Noor'],
  sections: {
    'In the village': [
      at('Village shop', '40 candles for the lanterns', 5, ['to buy']),
      at('Village shop', 'Coffee for the staff room', 5, ['to buy']),
      at('Pharmacy', 'Fill up the first-aid kits', 10),
      at('Post point', 'Parcel for the summer guests', 5),
      at('Post point', 'Stamps', 5, ['to buy']),
      at('Hardware store', 'Hinges and a tin of oil', 10, ['to buy']),
      at('Hardware store', 'Rope, twenty metres', 5, ['to buy']),
      at('Bakery', 'Order the buns for Sunday', 5),
      at('Library', 'Return the bird books', 5),
    ],
    'Further away': [
      at('Dairy', 'Butter and cream for the weekend', 10, ['to buy']),
      at('Dairy', 'Empty crates back', 5),
      at('Engine workshop', 'Have the chainsaw sharpened', 10),
      at('Timber yard', 'Planks for the jetty', 25),
      at('Recycling yard', 'Old mattresses', 20),
    ],
  },
};

/** By the title of the item. */
export const PLACE_REMINDERS: Record<string, DemoPlaceReminder> = {
  'Collect the outboard from the workshop': { by: 'Aino', at: 'Engine workshop', for: ['Tapio'] },
  '40 candles for the lanterns': { by: 'Petri', at: 'Village shop', first: ['Aino', 'Petri', 'Oona', 'Eetu'] },
  'Planks for the jetty': { by: 'Tapio', at: 'Timber yard', for: ['Tapio'] },
};
