import { followUpsOf } from '../followup/groups.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Petri', 'manager');
  return w;
}
const invite = (w: World, token: string, more: object = {}) =>
  w.must('Aino', 'invitation.make', { role: 'helper', uses: 'one', token: token.padEnd(40, 'x'), ...more });
const joining = (name: string, token: string) => ({
  token: token.padEnd(40, 'x'),
  name,
  mark: name.slice(0, 3),
  colour: 'moss' as const,
  pattern: 'weft' as const,
});

describe('an invitation', () => {
  test('gives its role and opens its lists', () => {
    const w = house();
    const list = w.list('Aino', 'Rooms');
    const other = w.list('Aino', 'Office');
    invite(w, 'a', { lists: [{ listId: list, access: 'check' }] });
    w.must('Noor', 'person.join', joining('Noor', 'a'));
    expect(w.rows.find('person', w.person('Noor'))).toMatchObject({ role: 'helper' });
    expect(w.rows.by('share', 'listId', list).map((share) => share.access)).toEqual(['check']);
    expect(w.rows.by('share', 'listId', other)).toEqual([]);
  });

  test.each([
    ['used', (w: World) => w.must('Marek', 'person.join', joining('Marek', 'a')), 'invitation-used'],
    [
      'withdrawn',
      (w: World) => w.must('Aino', 'invitation.withdraw', { invitation: w.rows.all('invitation').find((one) => one.token.startsWith('axx'))!.id }),
      'invitation-withdrawn',
    ],
    ['older than 7 days', (w: World) => w.later(7 * 24 * 60), 'invitation-expired'],
  ])('%s no longer opens', (_name, close, code) => {
    const w = house();
    invite(w, 'a');
    close(w);
    expect(w.refused('Noor', 'person.join', joining('Noor', 'a')).code).toBe(code);
  });

  test('for several stays open; who joined by one that is withdrawn stays', () => {
    const w = house();
    invite(w, 'a', { uses: 'several' });
    w.must('Noor', 'person.join', joining('Noor', 'a'));
    w.must('Marek', 'person.join', joining('Marek', 'a'));
    w.must('Aino', 'invitation.withdraw', { invitation: w.rows.all('invitation').find((one) => one.token.startsWith('axx'))!.id });
    expect(w.rows.find('person', w.person('Marek'))).toMatchObject({ endedAt: null });
  });

  test('is not taken twice by the same account, nor with a mark somebody has', () => {
    const w = house();
    invite(w, 'a', { uses: 'several' });
    w.must('Noor', 'person.join', joining('Noor', 'a'));
    expect(w.refused('Noor', 'person.join', joining('Noor', 'a')).code).toBe('already-member');
    expect(w.refused('Marek', 'person.join', { ...joining('Marek', 'a'), mark: 'noo' })).toMatchObject({ code: 'mark-taken', field: 'mark' });
  });
});

describe('the end of access', () => {
  const withOpen = () => {
    const w = house();
    const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
    const items = ['A', 'B', 'C'].map((title) => w.item('Aino', title, { list, persons: [w.person('Leila')] }));
    return { w, items: items as [string, string, string] };
  };

  test('first asks who takes each open part', () => {
    const { w } = withOpen();
    expect(w.refused('Aino', 'person.end', { person: w.person('Leila') })).toMatchObject({ code: 'open-parts', params: { name: 'Leila', count: 3 } });
  });

  test('a person, nobody, or later', () => {
    const {
      w,
      items: [a, b, c],
    } = withOpen();
    const leila = w.person('Leila');
    w.must('Aino', 'person.end', {
      person: leila,
      parts: [
        { item: a, to: w.person('Petri') },
        { item: b, to: 'nobody' },
        { item: c, to: 'later' },
      ],
    });
    expect(w.part(a, 'Petri')).toMatchObject({ standing: 'needs-action', giverId: w.person('Aino') });
    expect(w.part(b, null).takenBackAt).toBeNull();
    expect(w.part(c, 'Leila').takenBackAt).toBeNull();
    expect(w.rows.find('person', leila)).toMatchObject({ name: 'Leila', endedAt: w.now });
    expect(w.refused('Leila', 'item.add', { title: 'Still here?' }).code).toBe('not-a-member');
  });

  test('what who ends the access cannot see is not asked of them: it waits for its giver', () => {
    const w = house();
    const hidden = w.item('Petri', 'A surprise', { list: w.list('Petri', 'Secrets'), persons: [w.person('Leila')] });
    w.must('Aino', 'person.end', { person: w.person('Leila') });
    expect(followUpsOf(w.person('Petri'), w.rows, w.now, 'Europe/Helsinki')).toMatchObject([{ item: { id: hidden }, group: 'needs-you', reason: 'left' }]);
  });

  test('what they handed to others is followed by whoever ends their access', () => {
    const w = house();
    w.join('Eetu');
    const tools = w.list('Eetu', 'Tools', [['Leila', 'check']]);
    const given = w.item('Eetu', 'Sharpen the axes', { list: tools, persons: [w.person('Leila')] });
    const kept = w.item('Eetu', 'Oil the saw', { list: tools, persons: [w.person('Eetu')] });
    const eetu = w.person('Eetu');
    w.must('Aino', 'person.end', { person: eetu, parts: [{ item: kept, to: 'later' }] });
    expect(w.part(given, 'Leila')).toMatchObject({ giverId: eetu, originId: w.person('Aino') });
    const followed = followUpsOf(w.person('Aino'), w.rows, w.now, 'Europe/Helsinki').map(({ item, reason }) => `${item.title}: ${reason}`);
    expect(followed.sort()).toEqual(['Oil the saw: left', 'Sharpen the axes: in-hand']);
  });

  test('the last manager can neither leave nor stop being one', () => {
    const w = new World();
    expect(w.refused('Aino', 'person.end', { person: w.person('Aino') }).code).toBe('last-manager');
    expect(w.refused('Aino', 'person.setRole', { person: w.person('Aino'), role: 'member' }).code).toBe('last-manager');
  });

  test('a shared list of who goes stays with a manager, a private one stays unseen', () => {
    const w = house();
    w.join('Eetu');
    const shared = w.list('Eetu', 'Tools', [['Leila', 'check']]);
    const own = w.list('Eetu', 'Mine');
    w.must('Aino', 'person.end', { person: w.person('Eetu') });
    expect(w.rows.find('list', shared)).toMatchObject({ ownerId: w.person('Aino') });
    expect(w.rows.find('list', own)).toMatchObject({ ownerId: w.rows.all('person').find((person) => person.name === 'Eetu')!.id });
  });
});
