import type { DemoFile } from './shapes.ts';

/** Photos and papers of the guesthouse, by what they are with. */
export const FILES: Record<string, readonly DemoFile[]> = {
  'Replace the third plank of the jetty': [
    { by: 'Tapio', ago: 3, photo: 'jetty', name: 'jetty.jpg' },
    { by: 'Tapio', ago: 2, photo: 'plank', name: 'third plank.jpg' },
  ],
  'Clear the gutter over the woodshed': [{ by: 'Petri', ago: 3, photo: 'gutter', name: 'woodshed.jpg' }],
  'Quote for the outboard': [
    { by: 'Aino', ago: 4, photo: 'outboard', name: 'outboard.jpg' },
    { by: 'Aino', ago: 4, photo: 'plate', name: 'name plate.jpg' },
    {
      by: 'Aino',
      ago: 4,
      page: 'Outboard 15 K: in short',
      lines: ['Before the first start: check the oil.', 'Pull the cord with the lever in neutral.', 'In autumn: rinse with fresh water, drain the fuel.'],
      name: 'outboard in short.pdf',
    },
    { by: 'Aino', ago: 3, url: 'https://outboards.example/15k/parts', name: 'Parts for the 15 K' },
  ],
};
