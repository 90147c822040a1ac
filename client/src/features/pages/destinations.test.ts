import { destinationsFor, findDestinations } from './destinations.ts';

const everyone = destinationsFor({ isManager: true, isDemo: false });
const found = (typed: string) => findDestinations(typed, everyone).map(({ path }) => path);

test.each([
  ['dark', '/settings/device'],
  ['Dark mode', '/settings/device'],
  ['holidays', '/settings/house'],
  ['time zone', '/settings/house'],
  ['password', '/settings/you'],
  ['sign out', '/settings/device'],
  ['invite', '/people'],
  ['quiet', '/settings/you'],
  ['email', '/settings/notifications'],
  ['workload', '/load'],
])('“%s” finds %s', (typed, path) => expect(found(typed)).toContain(path));

test('what few letters begin, or nothing has, finds none', () => {
  expect(found('da')).toEqual([]);
  expect(found('  ')).toEqual([]);
  expect(found('dark holidays')).toEqual([]);
});

test('what only a manager, or only the demo, has is not offered to others', () => {
  const paths = destinationsFor({ isManager: false, isDemo: false }).map(({ path }) => path);
  expect(paths).not.toContain('/share-out');
  expect(paths).not.toContain('/phones');
  expect(destinationsFor({ isManager: false, isDemo: true }).map(({ path }) => path)).toContain('/phones');
});
