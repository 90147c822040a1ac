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
    fields: {
      list: 'Spring ideas',
      make: [
        { name: 'Cost', kind: 'number', unit: '€' },
        { name: 'Who builds it', kind: 'choice', options: [{ name: 'We do', colour: 'moss' }, { name: 'The carpenter', colour: 'rust' }] }, // prettier-ignore
      ],
      values: {
        'Herb bed by the kitchen': [80, 'We do'],
        'Bicycles to lend': [900, null],
        'A bench at the point': [240, 'The carpenter'],
        'A swing in the pine': [35, 'We do'],
      },
    },
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
