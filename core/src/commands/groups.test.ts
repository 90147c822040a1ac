import { groupsOf, membersOf } from '../access/group-members.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Tapio', 'helper');
  w.join('Leila', 'helper');
  w.join('Petri', 'manager');
  const ids = (...names: string[]) => names.map((name) => w.person(name));
  const told = (kind: string) => w.rows.all('notice').filter((one) => one.kind === kind && one.withdrawnAt === null).map(({ personId }) => personId); // prettier-ignore
  const group = () => w.rows.all('peopleGroup')[0]!;
  return { w, ids, told, group };
}

test('who joins and who leaves is told, and an undo takes back both it and what was said', () => {
  const { w, ids, told, group } = house();
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ids('Tapio', 'Aino', 'Tapio') } as never);
  expect([group().personIds, told('group-joined')]).toEqual([ids('Tapio', 'Aino'), ids('Tapio')]);
  const { id } = w.must('Petri', 'group.change', { group: group().id, persons: ids('Aino', 'Leila') } as never);
  expect([told('group-joined').sort(), told('group-left')]).toEqual([ids('Tapio', 'Leila').sort(), ids('Tapio')]);
  w.must('Petri', 'undo', { command: id });
  expect([group().personIds, told('group-left')]).toEqual([ids('Tapio', 'Aino'), []]);
});

test('a name means one group or one person, somebody is in it, and managers alone decide', () => {
  const { w, ids, group } = house();
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ids('Tapio') } as never);
  const refused = (who: string, payload: object) => w.refused(who, 'group.make', { name: 'Cooks', persons: ids('Leila'), ...payload } as never).code;
  expect([refused('Aino', { name: ' drivers' }), refused('Aino', { name: 'LEILA' }), refused('Aino', { persons: [] }), refused('Tapio', {})]).toEqual([
    'name-taken',
    'name-taken',
    'group-empty',
    'not-allowed',
  ]);
  expect(w.refused('Aino', 'group.change', { group: group().id, persons: [] } as never).code).toBe('group-empty');
});

test('whoever left the house is no longer among its people; a group of nobody is none', () => {
  const { w, ids, group } = house();
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ids('Tapio') } as never);
  w.must('Aino', 'person.end', { person: w.person('Tapio'), takers: [] } as never);
  expect([membersOf(group(), w.rows), groupsOf(w.rows)]).toEqual([[], []]);
});
