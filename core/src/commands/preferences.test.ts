import { preferencesId } from '../model/preferences.ts';
import { World } from '../testing/world.ts';

test('one row a person, and what is left out stays', () => {
  const w = new World();
  w.join('Leila');
  w.must('Aino', 'preferences.set', { accent: 'plum' });
  w.must('Aino', 'preferences.set', { backdrop: 'twill' });
  w.must('Leila', 'preferences.set', { accent: null });
  expect(w.rows.all('preferences')).toHaveLength(2);
  expect(w.rows.find('preferences', preferencesId(w.person('Aino')))).toMatchObject({ accent: 'plum', backdrop: 'twill' });
  w.must('Aino', 'preferences.set', { accent: null });
  expect(w.rows.find('preferences', preferencesId(w.person('Aino')))).toMatchObject({ accent: null, backdrop: 'twill' });
  const review = { week: '2026-11-23', at: 3, before: { late: 2, shelf: 7 } };
  w.must('Aino', 'preferences.set', { review });
  expect(w.rows.find('preferences', preferencesId(w.person('Aino')))).toMatchObject({ backdrop: 'twill', review });
  for (const [wrong, code] of [
    [{ ...review, at: 9 }, 'too-many'],
    [{ ...review, before: { drawer: 1 } }, 'malformed'],
    [{ ...review, week: 'soon' }, 'malformed'],
  ] as const)
    expect(w.refused('Aino', 'preferences.set', { review: wrong as never }).code).toBe(code);
  expect(w.refused('Aino', 'preferences.set', { accent: '#ff0000' as never }).code).toBe('malformed');
});
