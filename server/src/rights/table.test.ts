import { REQUIRED_PERMISSIONS, ACCESS_TABLE } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';
import { CASES } from './cases.ts';
import { REFERENCE } from './situation.ts';

const server = new RealServer();
beforeAll(() => server.start());
afterAll(() => server.stop());

test('the table in core is the one of the reference', () => expect(ACCESS_TABLE).toEqual(REFERENCE));

test('every command stands in the table and is tried', () => expect(Object.keys(CASES).sort()).toEqual(Object.keys(REQUIRED_PERMISSIONS).sort()));

test('who is not in the house may nothing but enter it', async () => {
  const house = new Household(server);
  await house.found('Owner');
  const stranger = await house.send('Stranger', { name: 'item.add', payload: { title: 'Hello' } });
  expect(stranger).toMatchObject({ outcome: 'refused', reason: { code: 'not-a-member' } });
  expect((await house.fetch('Stranger', 'GET', `/api/houses/${house.houseId}/changes`)).status).toBe(403);
  expect((await house.fetch('Stranger', 'GET', `/api/houses/${house.houseId}/live`)).status).toBe(403);
});
