import type { Colour, ListIcon, ListKind, Pattern, Role } from '@kotiva/core';

/** The made-up guesthouse Kaislaranta by a lake, and the family above it. Nobody and nothing in it is real. */

export interface DemoPerson {
  name: string;
  mark: string;
  colour: Colour;
  pattern: Pattern;
  role: Exclude<Role, 'outside'>;
}

/** What became of somebody's part. */
export type Did = { take: true } | { done: true } | { seen: true } | { decline: string } | { ask: string } | { percent: number };

export interface DemoItem {
  title: string;
  /** Days from the day it is filled, with an hour if it has one: `+3 17:00`, `-1`, `0 12:00`. */
  due?: string;
  to?: string[];
  each?: boolean;
  message?: string;
  /** Days ago it was made and handed over. */
  ago?: number;
  did?: Record<string, Did>;
  confirm?: boolean;
  importance?: number;
  steps?: string[];
  stepsDone?: number;
  /** Nobody's, and checked off by its maker. */
  done?: boolean;
  by?: string;
  notes?: string;
}

export interface DemoList {
  name: string;
  purpose: string;
  colour: Colour;
  icon: ListIcon;
  kind?: ListKind;
  bundle?: string;
  owner: string;
  edit?: string[];
  check?: string[];
  view?: string[];
  sections: Record<string, DemoItem[]>;
}

export interface DemoHouse {
  name: string;
  people: DemoPerson[];
  bundles: Record<string, string>;
  lists: DemoList[];
  own: Record<string, DemoItem[]>;
}

const t = (title: string, more: Omit<DemoItem, 'title'> = {}): DemoItem => ({ title, ...more });
const STAFF = ['Marek', 'Leila', 'Tapio', 'Noor'];

const FAMILY: DemoPerson[] = [
  { name: 'Aino', mark: 'Ai', colour: 'petrol', pattern: 'weft', role: 'manager' },
  { name: 'Petri', mark: 'Pe', colour: 'indigo', pattern: 'warp', role: 'manager' },
  { name: 'Oona', mark: 'Oo', colour: 'plum', pattern: 'twill', role: 'member' },
  { name: 'Eetu', mark: 'Ee', colour: 'rust', pattern: 'zigzag', role: 'member' },
  { name: 'Helmi', mark: 'He', colour: 'aubergine', pattern: 'diamond', role: 'member' },
];

export const GUESTHOUSE: DemoHouse = {
  name: 'Kaislaranta',
  people: [
    ...FAMILY,
    { name: 'Marek', mark: 'Ma', colour: 'moss', pattern: 'dashes', role: 'helper' },
    { name: 'Leila', mark: 'Le', colour: 'slate', pattern: 'twill', role: 'helper' },
    { name: 'Tapio', mark: 'Ta', colour: 'umber', pattern: 'warp', role: 'helper' },
    { name: 'Noor', mark: 'No', colour: 'olive', pattern: 'zigzag', role: 'helper' },
  ],
  bundles: { 'By the water': 'Aino', 'In the house': 'Aino', Office: 'Petri' },
  lists: [
    {
      name: 'Boathouse',
      purpose: 'Boats, jetty and everything that gets wet',
      colour: 'petrol',
      icon: 'sailboat',
      bundle: 'By the water',
      owner: 'Aino',
      edit: ['Petri', 'Eetu'],
      check: ['Tapio', 'Noor'],
      sections: {
        'Before winter': [
          t('Count the life jackets', {
            to: ['Leila', 'Noor'],
            each: true,
            due: '+3 17:00',
            message: "Count the children's sizes too.",
            ago: 1,
            did: { Leila: { done: true }, Noor: { percent: 40 } },
            steps: ['Small sizes', "Children's sizes", 'Whistles'],
            stepsDone: 2,
          }),
          t('Grease the oarlocks', { to: ['Tapio'], due: '+5', ago: 2, did: { Tapio: { decline: 'Back is out this week' } } }),
          t('Winter storage for the boats', { to: ['Tapio'], due: '+18', ago: 6, did: { Tapio: { percent: 40 } } }),
          t('Varnish the jetty rail', {
            to: ['Aino'],
            due: '0',
            ago: 4,
            steps: ['Sand it', 'Clean the dust off', 'First coat', 'Second coat', 'Put the sign back'],
            stepsDone: 1,
            did: { Aino: { take: true } },
          }),
          t('Collect the outboard from the workshop', { to: ['Tapio'], due: '+1 15:00', message: 'Ask for the old spark plugs back.', ago: 1 }),
          t('Take in the swimming ladder', { to: ['Eetu'], due: '+2', ago: 1, did: { Eetu: { take: true } } }),
          t('Drain the rain barrel', { due: '+6' }),
          t('Cover the rowing boats', { to: ['Petri', 'Eetu'], due: '+4', ago: 2, did: { Petri: { seen: true } } }),
        ],
        Repairs: [
          t('Replace the third plank of the jetty', { to: ['Tapio'], due: '-2', ago: 9, importance: 2, did: { Tapio: { take: true } } }),
          t('New rope for the mooring'),
          t('Patch the inflatable'),
          t('Oil the boathouse doors', { done: true, ago: 3 }),
        ],
        'Opening the boathouse': [
          t('Check the fire extinguisher', { due: '+150' }),
          t('Put out the oars', { due: '+150' }),
          t('Test the rescue ring', { due: '+150' }),
          t('Air the life jackets', { due: '+150' }),
        ],
      },
    },
    {
      name: 'Sauna and shore',
      purpose: 'Fire, wood, towels, the path down',
      colour: 'rust',
      icon: 'flame',
      bundle: 'By the water',
      owner: 'Petri',
      edit: ['Aino', 'Eetu', 'Oona'],
      check: ['Tapio', 'Leila'],
      sections: {
        'This week': [
          t('Heat the sauna for the group', { to: ['Aino'], due: '0 16:00', ago: 2, did: { Aino: { take: true } } }),
          t('Stove door gasket', { to: ['Tapio'], ago: 4, message: 'It smokes at the lower hinge.' }),
          t('Wash the sauna benches', { to: ['Leila'], due: '+1 11:00', ago: 1, did: { Leila: { take: true } } }),
          t('Bring wood to the porch', { to: ['Eetu', 'Oona'], due: '+1', ago: 1, did: { Oona: { take: true } } }),
          t('Sand the steps to the shore', { to: ['Tapio'], due: '0 10:00', ago: 1, did: { Tapio: { take: true } } }),
        ],
        Sometime: [
          t('A second lamp for the path'),
          t('Mend the windbreak'),
          t('Ask what a stove glass costs', { done: true, ago: 6 }),
          t('Paint the dressing room'),
        ],
      },
    },
    {
      name: 'Rooms',
      purpose: 'What the rooms need between guests',
      colour: 'slate',
      icon: 'bed',
      bundle: 'In the house',
      owner: 'Aino',
      edit: ['Petri', 'Oona'],
      check: ['Leila', 'Noor', 'Marek'],
      sections: {
        Today: [
          t('Rooms 2 and 5', { to: ['Leila'], due: '0 12:00', ago: 1, did: { Leila: { take: true } } }),
          t('New towels for room 4', { to: ['Leila'], due: '+1', ago: 1, did: { Leila: { ask: 'White or grey?' } } }),
          t('Cot into room 3', { to: ['Noor'], due: '0 15:00', ago: 1, did: { Noor: { seen: true } } }),
          t('Room 1: the window sticks', { to: ['Tapio'], due: '+1', ago: 2, did: { Tapio: { seen: true } } }),
        ],
        'Linen and stores': [
          t('Count the linen', { to: ['Leila'], due: '0', ago: 3, did: { Leila: { percent: 60 } } }),
          t('Order 40 candles', { to: ['Petri', 'Oona'], due: '+3', ago: 2, did: { Oona: { take: true }, Petri: { seen: true } } }),
          t('Mend two pillowcases'),
          t('Soap for all the rooms', { done: true, ago: 2 }),
          t('Spare keys on new rings', { done: true, ago: 5 }),
        ],
        'Deep clean': [
          t('Room 1, behind the wardrobe'),
          t('Room 2, the stove'),
          t('Room 3, curtains'),
          t('Room 4, mattress turned', { done: true, ago: 4 }),
          t('Room 5, the lamp'),
          t('Hall carpet'),
        ],
      },
    },
    {
      name: 'Kitchen',
      purpose: 'Breakfasts, suppers, and the cold room',
      colour: 'moss',
      icon: 'utensils',
      bundle: 'In the house',
      owner: 'Aino',
      edit: ['Petri', 'Oona', 'Helmi'],
      check: ['Marek', 'Leila', 'Noor'],
      sections: {
        Today: [
          t('Breakfast for 14', { to: ['Marek'], due: '0 09:00', ago: 1, did: { Marek: { percent: 60 } } }),
          t('Order the fish', { to: ['Marek'], due: '0 14:00', ago: 1, did: { Marek: { take: true } } }),
          t('Clean the grill hood', { to: ['Marek'], due: '0', ago: 3, confirm: true, did: { Marek: { done: true } } }),
          t('Bake rye bread', { to: ['Marek'], due: '0', ago: 1, did: { Marek: { done: true } } }),
        ],
        'Cold room': [
          t('Temperature log', { to: ['Marek'], due: '+1', ago: 1 }),
          t('Throw out what is past its day', { to: ['Noor'], due: '+2', ago: 1 }),
          t('Label the jam'),
          t('Defrost the small freezer', { due: '+9' }),
        ],
        'Coach group': [
          t('Menu for 18', { to: ['Marek'], due: '+2 12:00', ago: 2, importance: 2, did: { Marek: { ask: 'Is anyone without gluten?' } } }),
          t('Borrow the big pot', { to: ['Helmi'], due: '+3', ago: 1 }),
          t('Set the long table', { due: '+4' }),
        ],
      },
    },
    {
      name: 'Groceries',
      purpose: 'Whoever gets to the shop first',
      colour: 'olive',
      icon: 'basket',
      kind: 'undated',
      bundle: 'In the house',
      owner: 'Aino',
      edit: ['Petri', 'Oona', 'Eetu', 'Helmi'],
      check: ['Marek', 'Leila', 'Noor', 'Tapio'],
      sections: {
        'Village shop': ['Coffee filters, size 4', 'Birch syrup', 'Oat flakes, 5 kg', 'Matches', 'Dish brushes', 'Lamp oil']
          .map((title) => t(title))
          .concat(t('Yeast', { done: true, ago: 1 }), t('Salt', { done: true, ago: 1 })),
        Dairy: [t('Milk, 20 l'), t('Butter'), t('Sour cream', { done: true, ago: 2 })],
        Market: [t('Apples'), t('Root vegetables'), t('Honey')],
      },
    },
    {
      name: 'House rules and safety',
      purpose: 'Read once, then know',
      colour: 'aubergine',
      icon: 'book',
      owner: 'Aino',
      edit: ['Petri'],
      view: [...STAFF, 'Oona', 'Eetu', 'Helmi'],
      sections: {
        Safety: [
          t('Read the fire plan', {
            to: ['Petri', 'Oona', 'Eetu', 'Marek', 'Leila', 'Tapio', 'Noor'],
            each: true,
            due: '+5 20:00',
            ago: 3,
            message: 'Two pages. The meeting point is new.',
            did: { Petri: { done: true }, Oona: { done: true }, Marek: { done: true }, Leila: { done: true }, Tapio: { seen: true }, Noor: { percent: 50 } },
          }),
          t('Return the spare keys', {
            to: ['Petri', 'Eetu', 'Leila', 'Tapio'],
            each: true,
            due: '-1 18:00',
            ago: 5,
            did: { Petri: { done: true }, Leila: { done: true }, Eetu: { seen: true }, Tapio: { seen: true } },
          }),
          t('First-aid course, say which day suits', {
            to: ['Marek', 'Leila', 'Noor', 'Oona'],
            each: true,
            due: '+8',
            ago: 2,
            did: { Oona: { done: true }, Marek: { take: true } },
          }),
        ],
        Papers: [
          t('Photos for the insurer', { to: ['Oona'], due: '-1', ago: 6, did: { Oona: { seen: true } } }),
          t('New notice for the hall', { to: ['Helmi'], due: '+6', ago: 2, did: { Helmi: { take: true } } }),
        ],
      },
    },
    {
      name: 'Bookings',
      purpose: 'Groups, dates, answers owed',
      colour: 'indigo',
      icon: 'book',
      bundle: 'Office',
      owner: 'Petri',
      edit: ['Aino', 'Oona'],
      sections: {
        Open: [
          t('Confirm 18 beds for the coach group', { to: ['Aino'], by: 'Petri', due: '0 12:00', ago: 1, importance: 2, message: 'They need it in writing.' }),
          t('Answer the wedding enquiry', { to: ['Aino'], by: 'Petri', due: '+1', ago: 1, message: 'They ask about the second weekend of June.' }),
          t('Deposit of the fishing club', { to: ['Petri'], by: 'Petri', due: '-3', ago: 10, did: { Petri: { take: true } } }),
          t('Calendar for next summer', { to: ['Oona'], by: 'Petri', due: '+14', ago: 4, did: { Oona: { take: true } } }),
        ],
        Prices: [t('Compare with last winter', { by: 'Petri' }), t('Child beds: free or not', { by: 'Petri' })],
      },
    },
    {
      name: 'Office',
      purpose: 'Forms, invoices, authorities',
      colour: 'graphite',
      icon: 'package',
      bundle: 'Office',
      owner: 'Aino',
      edit: ['Petri'],
      sections: {
        Due: [
          t('Send the lodging form', { to: ['Aino'], due: '-3', ago: 8, importance: 3, did: { Aino: { take: true } } }),
          t('Invoices of November', { to: ['Petri'], due: '+6', ago: 3, did: { Petri: { take: true } } }),
          t('Ring the insurer', { to: ['Petri'], due: '0 15:00', ago: 1 }),
          t('Wages', { due: '+5', importance: 2 }),
        ],
        Later: [t('New printer'), t('Bin the old ledgers', { done: true, ago: 7 }), t('Ask about the solar grant')],
      },
    },
    {
      name: 'Yard and tools',
      purpose: 'Snow, gutters, machines',
      colour: 'umber',
      icon: 'wrench',
      owner: 'Petri',
      edit: ['Aino', 'Eetu'],
      check: ['Tapio'],
      sections: {
        Now: [
          t('Gutter, north side', { to: ['Tapio'], by: 'Petri', due: '0', ago: 2, did: { Tapio: { take: true } } }),
          t('Snow poles along the drive', { to: ['Eetu'], by: 'Petri', due: '+2', ago: 2 }),
          t('Winter tyres on the van', { to: ['Tapio'], by: 'Petri', due: '+1', ago: 3, did: { Tapio: { done: true } } }),
        ],
        Tools: [t('Sharpen the axes'), t('Oil for the chainsaw'), t('Find the long ladder', { done: true, ago: 3 })],
      },
    },
    {
      name: 'Guests ask for',
      purpose: 'Things that come up again and again',
      colour: 'plum',
      icon: 'heart',
      kind: 'reference',
      owner: 'Helmi',
      edit: ['Aino', 'Oona'],
      view: STAFF,
      sections: { Things: ['A hair dryer', 'Board games', 'A map of the lake', 'Wool socks', 'A sledge'].map((title) => t(title)) },
    },
    {
      name: 'Spring ideas',
      purpose: 'For when the ice is gone',
      colour: 'moss',
      icon: 'leaf',
      kind: 'undated',
      owner: 'Aino',
      sections: { Ideas: ['Herb bed by the kitchen', 'Bicycles to lend', 'A bench at the point', 'Breakfast on the jetty'].map((title) => t(title)) },
    },
    {
      name: 'Van',
      purpose: 'What rides along',
      colour: 'rust',
      icon: 'car',
      owner: 'Tapio',
      edit: ['Petri', 'Eetu'],
      sections: {
        Keep: [
          t('First-aid kit checked', { by: 'Tapio', done: true, ago: 4 }),
          t('Tow rope', { by: 'Tapio' }),
          t('Washer fluid', { by: 'Tapio', due: '+1' }),
          t('Book the inspection', { by: 'Tapio', to: ['Tapio'], due: '+11', ago: 2 }),
        ],
      },
    },
  ],
  own: {
    Aino: [t('Ask Helmi about Christmas'), t('Think about a new sign'), t('Dentist', { due: '+2 08:15' })],
    Leila: [t('Bring the good scissors')],
    Noor: [t('Bus card', { due: '+1' })],
    Tapio: [t('Back exercises')],
  },
};

export const HOME: DemoHouse = {
  name: 'Upstairs',
  people: FAMILY,
  bundles: { Everyday: 'Aino' },
  lists: [
    {
      name: 'Chores',
      purpose: 'What keeps the five of us afloat',
      colour: 'plum',
      icon: 'house',
      bundle: 'Everyday',
      owner: 'Aino',
      edit: ['Petri', 'Oona', 'Eetu', 'Helmi'],
      sections: {
        Today: [
          t('Walk the dog', { to: ['Oona'], due: '0 18:00', ago: 1, did: { Oona: { take: true } } }),
          t('Empty the dishwasher', { to: ['Eetu'], due: '0', ago: 1 }),
          t('Dark wash', { to: ['Petri'], due: '0', ago: 1, did: { Petri: { done: true } } }),
        ],
        'This week': [
          t('Tidy your own room', { to: ['Oona', 'Eetu'], each: true, due: '+4', ago: 1, did: { Eetu: { seen: true } } }),
          t('Carpets out', { due: '+4' }),
          t('Descale the coffee machine', { to: ['Helmi'], due: '+3', ago: 2, did: { Helmi: { take: true } } }),
          t('Change the beds', { to: ['Aino', 'Petri'], due: '+5', ago: 1 }),
        ],
      },
    },
    {
      name: 'School and hobbies',
      purpose: 'Forms, rides, kit',
      colour: 'rust',
      icon: 'book',
      bundle: 'Everyday',
      owner: 'Aino',
      edit: ['Petri', 'Oona', 'Eetu'],
      sections: {
        Forms: [
          t('Sign the trip form', { to: ['Petri'], due: '+1', ago: 2, did: { Petri: { seen: true } } }),
          t('Pay the choir', { due: '+7' }),
          t('Skates sharpened', { to: ['Eetu'], due: '+2', ago: 1 }),
        ],
        Rides: [
          t('Floorball, there', { to: ['Aino'], due: '+1 17:30', ago: 1, did: { Aino: { take: true } } }),
          t('Floorball, back', { to: ['Petri'], due: '+1 19:00', ago: 1, did: { Petri: { take: true } } }),
        ],
      },
    },
    {
      name: 'Christmas',
      purpose: 'Before the 24th',
      colour: 'aubergine',
      icon: 'heart',
      owner: 'Helmi',
      edit: ['Aino', 'Petri'],
      sections: {
        Baking: [t('Ginger biscuits', { by: 'Helmi', to: ['Oona', 'Eetu'], due: '+20', ago: 1 }), t('Plum tarts', { by: 'Helmi' })],
        Presents: [t('A present for Petri', { by: 'Helmi' }), t('Wool for mittens', { by: 'Helmi', done: true, ago: 2 })],
      },
    },
    {
      name: 'Dog',
      purpose: 'Food, vet, walks',
      colour: 'umber',
      icon: 'paw',
      owner: 'Oona',
      edit: ['Aino', 'Petri', 'Eetu', 'Helmi'],
      sections: {
        Now: [
          t('Worming tablet', { by: 'Oona', to: ['Helmi'], due: '+2', ago: 1 }),
          t('New collar', { by: 'Oona' }),
          t('Book the vet', { by: 'Oona', to: ['Aino'], due: '+3', ago: 1, message: 'The yearly jab.' }),
        ],
      },
    },
  ],
  own: { Oona: [t('Ask about the summer job')], Eetu: [t('Return the library book', { due: '-1' })] },
};
