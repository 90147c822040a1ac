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
  expect(w.refused('Aino', 'preferences.set', { accent: '#ff0000' as never }).code).toBe('malformed');
});
