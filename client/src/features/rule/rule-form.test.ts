import { faultOf, formOf, newForm, ruleOf, withDate, withKind, withWeekdays, type RuleForm } from './rule-form.ts';

const form = (fields: Partial<RuleForm>): RuleForm => ({ ...newForm('2026-12-04', ''), ...fields });

test.each<[string, Partial<RuleForm>, string]>([
  ['every other Friday', { every: '2' }, 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR'],
  ['Wednesdays and Saturdays', { weekdays: ['SA', 'WE'] }, 'FREQ=WEEKLY;BYDAY=WE,SA'],
  ['the last day of the month', { kind: 'months', on: 'last' }, 'FREQ=MONTHLY;BYMONTHDAY=-1'],
  ['the 31st only', { kind: 'months', on: 'day', short: 'only', date: '2026-12-31' }, 'FREQ=MONTHLY;BYMONTHDAY=31'],
  ['the first Friday', { kind: 'months', on: 'weekday' }, 'FREQ=MONTHLY;BYDAY=1FR'],
  ['the last Friday, whatever day it begins', { kind: 'months', on: 'weekday', nth: '-1', nthDay: 'FR' }, 'FREQ=MONTHLY;BYDAY=-1FR'],
  ['the 31st or the last', { kind: 'months', on: 'day', short: 'orLast', date: '2026-12-31' }, 'FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1'],
  ['the last workday, ten times', { kind: 'months', on: 'workday', end: 'times' }, 'FREQ=MONTHLY;COUNT=10;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1'],
  ['every two hours of the day', { kind: 'hours', every: '2', hoursFrom: '08:00', hoursTo: '13:00' }, 'FREQ=DAILY;BYMINUTE=0;BYHOUR=8,10,12'],
  ['every year until', { kind: 'years', end: 'on', until: '2030-12-04' }, 'FREQ=YEARLY;UNTIL=20301204'],
])('%s, and the same choices again from the rule', (_name, fields, rrule) => {
  const said = ruleOf(form(fields));
  expect(said.rrule).toBe(rrule);
  expect(ruleOf(formOf(said))).toEqual(said);
  expect(formOf(said).kind).toBe(form(fields).kind);
});

test('after it was done; and a rule the choices have no words for stays as typed', () => {
  expect(ruleOf(form({ kind: 'after', every: '6' }))).toEqual({ rrule: null, afterDone: 'P6W', dtstart: '2026-12-04' });
  expect(formOf({ rrule: 'FREQ=YEARLY;BYWEEKNO=20', afterDone: null, dtstart: '2026-12-04' })).toMatchObject({
    kind: 'typed',
    typed: 'FREQ=YEARLY;BYWEEKNO=20',
  });
});

test.each<[Partial<RuleForm>, string]>([
  [{ every: '0' }, 'rule.badEvery'],
  [{ every: 'two' }, 'rule.badEvery'],
  [{ weekdays: [] }, 'rule.noWeekday'],
  [{ date: '' }, 'rule.noDate'],
  [{ kind: 'months', date: '2026-12-31' }, 'rule.saysShort'],
  [{ kind: 'months', date: '2026-12-29' }, 'rule.saysShort'],
  [{ kind: 'hours', hoursFrom: '18:00', hoursTo: '08:00' }, 'rule.badHours'],
  [{ kind: 'hours', hoursFrom: '', hoursTo: '08:00' }, 'rule.badHours'],
  [{ end: 'on', until: '2026-12-01' }, 'rule.endsBefore'],
  [{ end: 'times', times: '0' }, 'rule.badTimes'],
  [{ kind: 'typed' }, 'rule.nothingTyped'],
])('what is wrong is said: %p', (fields, fault) => expect(faultOf(form(fields))).toBe(fault));

describe('what is proposed gives way to what is chosen', () => {
  test('the first weekday chosen takes the place of the one proposed; further ones stand beside it', () => {
    const one = withWeekdays(newForm('2026-12-04', ''), ['FR', 'SU']);
    expect(one.weekdays).toEqual(['SU']);
    expect(withWeekdays(one, ['SU', 'WE']).weekdays).toEqual(['SU', 'WE']);
    expect(withWeekdays(newForm('2026-12-04', ''), []).weekdays).toEqual([]);
  });

  test('until then it follows the first day', () => {
    expect(withDate(newForm('2026-12-04', ''), '2026-12-27')).toMatchObject({ weekdays: ['SU'], nth: '-1', nthDay: 'SU' });
    expect(withDate(withWeekdays(newForm('2026-12-04', ''), ['FR', 'MO']), '2026-12-27').weekdays).toEqual(['MO']);
    expect(withDate(newForm('2026-12-04', ''), '').weekdays).toEqual(['FR']);
  });

  test('from days to years, “every 3” is not kept', () => expect(withKind(form({ kind: 'days', every: '3' }), 'years').every).toBe('1'));
});
