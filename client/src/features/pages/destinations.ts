import { t, type WordKey } from '@/words';

export type DestinationGroup = 'house' | 'together' | 'kept' | 'settings';

/** A page that is reached from More, and found by its name or by what is on it. */
export interface Destination {
  path: string;
  group: DestinationGroup;
  words: WordKey;
  /** Other words people look for it by, in one sentence of the catalogue. */
  terms: WordKey;
  /** Shown to managers, or in the demo, alone. */
  only?: 'manager' | 'demo';
}

export const DESTINATIONS: readonly Destination[] = [
  { path: '/people', group: 'house', words: 'people.title', terms: 'more.terms.people' },
  { path: '/chores', group: 'house', words: 'chores.title', terms: 'more.terms.chores' },
  { path: '/projects', group: 'house', words: 'projects.title', terms: 'more.terms.projects' },
  { path: '/templates', group: 'house', words: 'templates.title', terms: 'more.terms.templates' },
  { path: '/places', group: 'house', words: 'places.title', terms: 'more.terms.places' },
  { path: '/round', group: 'house', words: 'round.title', terms: 'more.terms.round' },
  { path: '/labels', group: 'house', words: 'labels.title', terms: 'more.terms.labels' },
  { path: '/share-out', group: 'together', words: 'shareOut.title', terms: 'more.terms.shareOut', only: 'manager' },
  { path: '/load', group: 'together', words: 'load.title', terms: 'more.terms.load' },
  { path: '/activity', group: 'together', words: 'activity.title', terms: 'more.terms.activity' },
  { path: '/looking-back', group: 'together', words: 'back.title', terms: 'more.terms.back' },
  { path: '/weekly-review', group: 'together', words: 'review.title', terms: 'more.terms.review' },
  { path: '/shelf', group: 'kept', words: 'shelf.title', terms: 'more.terms.shelf' },
  { path: '/archived', group: 'kept', words: 'archived.title', terms: 'more.terms.archived' },
  { path: '/removed', group: 'kept', words: 'removed.title', terms: 'more.terms.removed' },
  { path: '/settings/you', group: 'settings', words: 'profile.title', terms: 'more.terms.you' },
  { path: '/settings/device', group: 'settings', words: 'settings.device', terms: 'more.terms.device' },
  { path: '/settings/notifications', group: 'settings', words: 'notify.title', terms: 'more.terms.notifications' },
  { path: '/settings/house', group: 'settings', words: 'house.title', terms: 'more.terms.house' },
  { path: '/settings/data', group: 'settings', words: 'settings.data', terms: 'more.terms.data' },
  { path: '/phones', group: 'settings', words: 'phones.title', terms: 'more.terms.phones', only: 'demo' },
];

export interface Viewer {
  isManager: boolean;
  isDemo: boolean;
}

/** Those that are there for somebody. */
export const destinationsFor = ({ isManager, isDemo }: Viewer): Destination[] =>
  DESTINATIONS.filter(({ only }) => only === undefined || (only === 'manager' ? isManager : isDemo));

/** The shortest word that is looked for among pages: fewer letters begin too many. */
const LEAST = 3;

/** Pages whose name or terms have a word that begins as is typed: "dark", "holidays", "password". */
export function findDestinations(typed: string, among: readonly Destination[]): Destination[] {
  const wanted = typed.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0 || wanted.join('').length < LEAST) return [];
  return among.filter(({ words, terms }) => {
    const said = `${t(words)} ${t(terms)}`.toLocaleLowerCase().split(/[^\p{L}\p{N}]+/u);
    return wanted.every((word) => said.some((one) => one.startsWith(word)));
  });
}
