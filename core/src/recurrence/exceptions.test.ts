import fc from 'fast-check';
import { CHORE_STEPS } from './chore-bounds.ts';
import { carryExceptions, type Exception, type Rule } from './exceptions.ts';
import { occurrences } from './occurrences.ts';

const HOUSE = { zone: 'Europe/Helsinki' };
const rule = (rrule: string, dtstart: string): Rule => ({ rrule, afterDone: null, dtstart });
const skipped = (recurrenceId: string): Exception => ({ recurrenceId, at: null, skipped: true, personId: null, countsFor: null });
const moved = (recurrenceId: string, at: string): Exception => ({ ...skipped(recurrenceId), skipped: false, at });

describe('where exceptions of a changed chore go', () => {
  const FRIDAYS = rule('FREQ=WEEKLY;BYDAY=FR', '2026-12-04T16:00');

  test.each<[string, Rule, Exception, Exception | null]>([
    ['another hour, left out', rule('FREQ=WEEKLY;BYDAY=FR', '2026-12-04T18:00'), skipped('2026-12-11T16:00'), skipped('2026-12-11T18:00')],
    ['another hour, moved by a day', rule('FREQ=WEEKLY;BYDAY=FR', '2026-12-04T18:00'), moved('2026-12-11T16:00', '2026-12-12T16:00'), moved('2026-12-11T18:00', '2026-12-12T18:00')], // prettier-ignore
    ['another hour, moved to an hour of its own', rule('FREQ=WEEKLY;BYDAY=FR', '2026-12-04T18:00'), moved('2026-12-11T16:00', '2026-12-11T09:00'), moved('2026-12-11T18:00', '2026-12-11T09:00')], // prettier-ignore
    ['another day of the week', rule('FREQ=WEEKLY;BYDAY=MO', '2026-11-30T16:00'), skipped('2026-12-11T16:00'), skipped('2026-12-07T16:00')],
    [
      'every other week, one of its weeks',
      rule('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01T16:00'),
      skipped('2026-12-18T16:00'),
      skipped('2026-12-15T16:00'),
    ],
    ['every other week, one of the others', rule('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01T16:00'), skipped('2026-12-11T16:00'), null],
    ['once a month, another week of it', rule('FREQ=MONTHLY;BYMONTHDAY=28', '2026-12-28'), skipped('2026-12-11T16:00'), null],
    ['so long after it was done', { rrule: null, afterDone: 'P1W', dtstart: '2026-12-04' }, skipped('2026-12-11T16:00'), null],
    ['every hour, the nearest of its day', rule('FREQ=DAILY;BYHOUR=8,15,20', '2026-12-04T08:00'), skipped('2026-12-11T16:00'), skipped('2026-12-11T15:00')],
  ])('%s', (_name, next, exception, expected) => {
    const { kept, lost } = carryExceptions([exception], FRIDAYS, next, HOUSE);
    expect({ kept, lost }).toEqual(expected ? { kept: [expected], lost: [] } : { kept: [], lost: [exception] });
  });

  test('two of a week that has one day left: one goes along, the other is named', () => {
    const old = rule('FREQ=WEEKLY;BYDAY=WE,FR', '2026-12-02T16:00');
    const { kept, lost } = carryExceptions([skipped('2026-12-09T16:00'), skipped('2026-12-11T16:00')], old, rule('FREQ=WEEKLY;BYDAY=MO', '2026-12-07T16:00'), HOUSE); // prettier-ignore
    expect([kept.map(({ recurrenceId }) => recurrenceId), lost.map(({ recurrenceId }) => recurrenceId)]).toEqual([['2026-12-07T16:00'], ['2026-12-11T16:00']]);
  });

  const RULES = [
    'FREQ=DAILY',
    'FREQ=WEEKLY;BYDAY=MO,TH',
    'FREQ=WEEKLY;INTERVAL=3',
    'FREQ=MONTHLY;BYMONTHDAY=31',
    'FREQ=MONTHLY;BYDAY=-1SU',
    'FREQ=YEARLY',
    'FREQ=DAILY;BYHOUR=7,19',
  ];
  const someRule = fc.record({ rrule: fc.constantFrom(...RULES), hour: fc.constantFrom('', 'T03:30', 'T16:00') }).map(({ rrule, hour }) => rule(rrule, `2027-01-07${hour}`)); // prettier-ignore
  const timesOf = (of: Rule): string[] =>
    [...occurrences({ rrule: of.rrule, dtstart: of.dtstart, zone: HOUSE.zone }, { before: '2029-01-01', maxSteps: CHORE_STEPS })].map(
      ({ recurrenceId }) => recurrenceId,
    );

  test('each is kept once or named; kept ones lie on times of the changed rule, and the same rule keeps all where they are', () => {
    fc.assert(
      fc.property(someRule, someRule, fc.array(fc.nat(30), { maxLength: 12 }), (old, next, nths) => {
        const times = timesOf(old);
        const exceptions = [...new Set(nths)].flatMap((nth) => (times[nth] ? [skipped(times[nth])] : []));
        const { kept, lost } = carryExceptions(exceptions, old, next, HOUSE);
        expect(kept.length + lost.length).toBe(exceptions.length);
        expect(new Set(kept.map(({ recurrenceId }) => recurrenceId)).size).toBe(kept.length);
        const possible = new Set(timesOf(next));
        expect(kept.filter(({ recurrenceId }) => !possible.has(recurrenceId))).toEqual([]);
        expect(carryExceptions(exceptions, old, old, HOUSE)).toEqual({ kept: exceptions, lost: [] });
      }),
    );
  });
});
