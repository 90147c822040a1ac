import { HOME_CHORES } from './chores.ts';
import { FAMILY } from './people.ts';
import { HOME_PLACES } from './places.ts';
import { t, type DemoHouse } from './shapes.ts';

export const HOME: DemoHouse = {
  name: 'Upstairs',
  region: 'FI',
  chores: HOME_CHORES,
  people: FAMILY,
  bundles: { Everyday: { owner: 'Aino', purpose: 'What comes round again', colour: 'moss', icon: 'heart' } },
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
          t('Sign the trip form', { place: 'School', to: ['Petri'], due: '+1', ago: 2, did: { Petri: { seen: true } } }),
          t('Pay the choir', { due: '+7' }),
          t('Skates sharpened', { place: 'Ice rink', to: ['Eetu'], due: '+2', ago: 1 }),
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
          t('Book the vet', { place: 'Vet', by: 'Oona', to: ['Aino'], due: '+3', ago: 1, message: 'The yearly jab.' }),
        ],
      },
    },
  ],
  places: HOME_PLACES,
  situations: { 'car at hand': 'tool' },
  own: { Oona: [t('Ask about the summer job')], Eetu: [t('Return the library book', { due: '-1' })] },
};
