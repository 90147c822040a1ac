import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Gazetteer, HttpGeocoder, spotsOf } from './geocoder.ts';

const feature = (name: string, address: string, coordinates: unknown, type = 'Point') => ({
  type: 'Feature',
  geometry: { type, coordinates },
  properties: { name, address },
});
const collection = (...features: unknown[]) => ({ type: 'FeatureCollection', features });

test('points with a name are spots: longitude first (RFC 7946), whatever else is in it', () => {
  const spots = spotsOf(
    collection(
      feature('Dairy', 'Meadow road 4', [27.1, 62.3]),
      feature('Shore', '', [[27, 62]], 'LineString'),
      feature('', 'x', [27, 62]),
      feature('Off', '', [200, 62]),
    ),
  );
  expect(spots).toEqual([{ name: 'Dairy', where: 'Meadow road 4', lat: 62.3, lon: 27.1 }]);
  expect(() => spotsOf({ type: 'Feature' })).toThrow();
});

test('a gazetteer finds by the beginnings of words, by name before address, without accents', async () => {
  const at = { lat: 62, lon: 27 };
  const gazetteer = new Gazetteer([
    { name: 'Old mill', where: 'Mäkitie 2', ...at },
    { name: 'Mäkelä farm', where: 'Shore road 9', ...at },
    { name: 'School', where: 'Church road 1', ...at },
  ]);
  const names = async (words: string) => (await gazetteer.find(words)).map(({ name }) => name);
  expect(await names('mak')).toEqual(['Mäkelä farm', 'Old mill']);
  expect(await names('road 9')).toEqual(['Mäkelä farm']);
  expect(await names('harbour')).toEqual([]);
  expect(await names('  ')).toEqual([]);
});

test('a service is asked with the words; what it can’t answer is an error', async () => {
  let status = 200;
  const server = createServer((request, response) => {
    const { searchParams } = new URL(request.url!, 'http://x');
    response.writeHead(status).end(JSON.stringify(collection(feature(searchParams.get('q')!, '', [27, 62]))));
  });
  await new Promise<void>((listening) => server.listen(0, listening));
  const geocoder = new HttpGeocoder(`http://127.0.0.1:${(server.address() as AddressInfo).port}/find`);
  expect(await geocoder.find('Ferry & quay')).toEqual([{ name: 'Ferry & quay', where: '', lat: 62, lon: 27 }]);
  status = 503;
  await expect(geocoder.find('x')).rejects.toThrow('503');
  server.close();
});
