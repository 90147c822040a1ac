import type { DemoTemplate } from './shapes.ts';

const before = (days: number, time: string | null = null) => ({ days: -days, time });
const cook = [{ role: 'cook' }];
const driver = [{ role: 'driver' }];

/** What the guesthouse does again and again. */
export const TEMPLATES: readonly DemoTemplate[] = [
  {
    by: 'Aino',
    name: 'A wedding weekend for {couple}',
    purpose: 'Barn, kitchen and rooms, from the week before to the Monday after',
    colour: 'plum',
    icon: 'heart',
    isShared: true,
    anchorName: 'Saturday',
    sections: ['The week before', 'Barn', 'Kitchen', 'Afterwards'],
    items: [
      { title: 'Ask {couple} for the final number', section: 0, due: before(12), effort: 10 },
      { title: 'Order flour and cream for {guests}', section: 0, due: before(6), holders: cook, effort: 20 },
      { title: 'Fetch the long tables', section: 0, due: before(3), holders: driver, effort: 90 },
      { title: 'Air the barn', section: 1, due: before(2, '10:00'), effort: 30 },
      { title: 'Hang the lanterns', section: 1, due: before(1), effort: 60 },
      {
        title: 'Lay the tables for {guests}',
        section: 1,
        due: before(0, '11:00'),
        effort: 90,
        notes: '- Cloths from the **upper** cupboard\n- One chair more at each end',
      },
      { title: 'Count plates and glasses', section: 1, under: 5 },
      { title: 'Fold the napkins', section: 1, under: 5 },
      { title: 'Bake the bread', section: 2, due: before(1), holders: cook, effort: 180, firsts: [1] },
      { title: 'Smoke the fish', section: 2, due: before(0, '13:00'), holders: cook, effort: 120 },
      { title: 'Coffee for {guests} at nine', section: 2, due: before(0, '20:30'), holders: cook, effort: 45 },
      { title: 'Count the glasses', section: 3, due: { days: 1, time: null }, effort: 30 },
      { title: 'Take the tables back', section: 3, due: { days: 2, time: null }, holders: driver, effort: 90 },
    ],
  },
  {
    by: 'Aino',
    name: 'Ready the {boat}',
    kind: 'item',
    colour: 'petrol',
    icon: 'sailboat',
    isShared: true,
    items: [
      { title: 'Ready the {boat} for the water', effort: 120, tags: ['boats'] },
      { title: 'Look for cracks', under: 0 },
      { title: 'Grease the rowlocks', under: 0 },
      { title: 'Oars and life jackets', under: 0 },
    ],
  },
  {
    by: 'Petri',
    name: '{newcomer} begins with us',
    purpose: 'The first two weeks of somebody new',
    colour: 'indigo',
    icon: 'key',
    isShared: true,
    anchorName: 'The first day',
    items: [
      { title: 'Contract and keys for {newcomer}', due: before(3), effort: 30 },
      { title: 'Show {newcomer} the house', due: before(0, '09:00'), holders: [{ role: 'who shows around' }], effort: 60 },
      { title: 'How was the first week?', due: { days: 7, time: null }, effort: 20 },
    ],
  },
  {
    by: 'Leila',
    name: 'Sunday at my sister’s',
    colour: 'slate',
    icon: 'basket',
    items: [{ title: 'Bread' }, { title: 'The good scissors' }, { title: 'Something for the children' }],
  },
  {
    by: 'Aino',
    name: 'After the season',
    purpose: 'How it went, and what changes',
    kind: 'talk',
    colour: 'plum',
    icon: 'book',
    isShared: true,
    items: [],
    text: '## What went well in {season}\n\n- \n\n## What was hard\n\n- \n\n## What we change\n\n- [ ] ',
  },
];
