import fc from 'fast-check';
import { CarriedMinutes, fairTurn, type Able, type Carried, type Days } from './fair.ts';

const person = (name: string, capacity = 60, absences: Days[] = []): Able => ({
  id: name,
  name,
  weekly: capacity * 7,
  absences,
});
const carried = (personId: string, day: number, minutes: number): Carried => ({ personId, day, minutes });

test('least minutes ÷ capacity, with the minutes as the reason', () => {
  const people = [person('Eetu'), person('Oona'), person('Petri', 120)];
  const so = [carried('Eetu', 95, 95), carried('Oona', 96, 100), carried('Petri', 97, 180)];
  // 95 ÷ 1680, 100 ÷ 1680, 180 ÷ 3360
  expect(fairTurn(100, people, new CarriedMinutes(so))).toEqual({ personId: 'Petri', minutes: 180 });
  expect(fairTurn(100, people.slice(0, 2), new CarriedMinutes(so))).toEqual({ personId: 'Eetu', minutes: 95 });
});

test('of equals who had it longest ago, then by name; what is older than four weeks is forgotten', () => {
  const people = [person('Oona'), person('Eetu')];
  expect(fairTurn(100, people, new CarriedMinutes())!.personId).toBe('Eetu');
  expect(fairTurn(100, people, new CarriedMinutes([carried('Eetu', 90, 30), carried('Oona', 80, 30)]))!.personId).toBe('Oona');
  expect(fairTurn(100, people, new CarriedMinutes([carried('Eetu', 72, 500)]))).toEqual({ personId: 'Oona', minutes: 0 });
});

test('who joins stands at the mean of the others, and so does who comes back after four weeks', () => {
  const week = (name: string, minutes: number) => [80, 85, 90, 95].map((day) => carried(name, day, minutes));
  const so = [...week('Eetu', 20), ...week('Oona', 40)];
  const newcomer = person('Petri', 60, [{ from: 0, to: 99 }]);
  // 80, 160 and their mean 120 of 1680
  expect(fairTurn(100, [person('Eetu'), person('Oona'), newcomer], new CarriedMinutes(so))!.personId).toBe('Eetu');
  // equal to the only other: who never had it is first
  expect(fairTurn(100, [person('Oona'), newcomer], new CarriedMinutes(so))!.personId).toBe('Petri');
});

test('nobody able: capacity 0, or away', () => {
  expect(fairTurn(100, [person('Eetu', 0), person('Oona', 60, [{ from: 0, to: 200 }])], new CarriedMinutes())).toBeNull();
});

test('given one after the other, nobody carries more than one chore above another of the same capacity', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 6 }), fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 40 }), (many, efforts) => {
      const people = Array.from({ length: many }, (_, nth) => person(`P${nth}`));
      const so: Carried[] = [];
      for (const minutes of efforts) so.push(carried(fairTurn(100, people, new CarriedMinutes(so))!.personId, 100, minutes));
      const totals = people.map(({ id }) => so.reduce((total, one) => (one.personId === id ? total + one.minutes : total), 0));
      expect(Math.max(...totals) - Math.min(...totals)).toBeLessThanOrEqual(Math.max(...efforts));
    }),
    { seed: 28 },
  );
});
