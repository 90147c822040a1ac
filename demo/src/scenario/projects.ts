import type { DemoProject } from './shapes.ts';

/** What the guesthouse does once. */
export const PROJECTS: readonly DemoProject[] = [
  {
    by: 'Aino',
    name: 'The new pier',
    purpose: 'So that six boats lie safe in any wind',
    colour: 'petrol',
    icon: 'anchor',
    answerable: 'Petri',
    ends: 200,
    lists: ['Spring ideas'],
    items: ['Ask what it will cost', 'Quote for the outboard'],
    stages: { list: 'Spring ideas', names: ['Wished', 'Priced', 'Booked', 'In place'] },
  },
  {
    by: 'Aino',
    name: 'Opening in May',
    purpose: 'Everything ready for the first guests',
    colour: 'moss',
    icon: 'leaf',
    answerable: 'Aino',
    ends: 150,
    items: ['Answer the wedding enquiry', 'Think about a new sign'],
  },
];
