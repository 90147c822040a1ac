import { createHash } from 'node:crypto';
import { existsSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { FilesHouse } from '../testing/files-house.ts';
import { RealServer } from '../testing/real-server.ts';

const MB = 1024 * 1024;
const text = (words: string) => new TextEncoder().encode(words);

/** A picture held sideways, with where it was taken in it. */
async function sideways(width = 60, height = 40): Promise<Buffer> {
  const half = { create: { width: width / 2, height, channels: 3 as const, background: '#a02020' } };
  return sharp({ create: { width, height, channels: 3, background: '#2040a0' } })
    .composite([{ input: half, left: 0, top: 0 }])
    .withExif({
      IFD0: { Copyright: 'SECRET-OF-THE-CAMERA' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '60/1 10/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '24/1 56/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg({ quality: 95 })
    .toBuffer();
}

describe('files', () => {
  const server = new RealServer({ fileLimits: { file: MB, house: 3 * MB } });
  let house: FilesHouse;
  let boiler: string;

  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await FilesHouse.of(server, { Leila: 'helper', Tapio: 'member' });
    const sauna = house.made('list', await house.must('Aino', 'list.make', { name: 'Sauna', colour: 'moss', icon: 'leaf' })).id;
    await house.must('Aino', 'list.share', { list: sauna, person: house.person('Tapio'), access: 'view' });
    boiler = house.made('item', await house.must('Aino', 'item.add', { title: 'Water under the boiler', list: sauna, persons: [house.person('Leila')] })).id;
  });

  const room = async () =>
    (await (await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/files`)).json()) as { used: number; file: number; house: number };

  test('a photo stands upright in three sizes, and nothing says where it was taken', async () => {
    const photo = await sideways();
    expect((await sharp(photo).metadata()).exif?.includes('SECRET')).toBe(true);
    const id = await house.attach('Leila', boiler, 'IMG_1.jpg', photo);
    expect(house.attachment(id)).toMatchObject({ mediaType: 'image/jpeg', width: 40, height: 60, size: photo.length, name: 'IMG_1.jpg' });
    for (const as of ['small', 'middle', 'large', 'file']) {
      const given = await house.get('Tapio', id, as);
      expect(given.status).toBe(200);
      expect(given.headers.get('content-type')).toBe(as === 'small' || as === 'middle' ? 'image/webp' : 'image/jpeg');
      const bytes = Buffer.from(await given.arrayBuffer());
      const found = await sharp(bytes).metadata();
      expect([found.width, found.height, found.orientation ?? 1, found.exif]).toEqual([40, 60, 1, undefined]);
      expect(bytes.includes('SECRET') || bytes.includes('GPS')).toBe(false);
      // turned by a quarter to the right: what was left is above
      const [red, , blue] = await sharp(bytes).extract({ left: 20, top: 4, width: 1, height: 1 }).raw().toBuffer();
      expect(red! > blue!).toBe(true);
    }
    // nor do the bytes as they came lie about
    const sha256 = house.attachment(id)!.sha256!;
    expect(existsSync(server.services.files!.folder.keptPath(sha256, 'whole'))).toBe(false);
    expect(readdirSync(server.services.files!.folder.coming)).toEqual([]);
  });

  test('a disk that is full takes no part of a file, and goes on once there is room', async () => {
    const folder = server.services.files!.folder;
    const bytes = Buffer.alloc(200_000, 7);
    const id = await house.announce('Leila', boiler, 'manual.bin', bytes.length);
    const full = jest.spyOn(folder, 'freeBytes').mockReturnValue(64 * MB + 199_999);
    try {
      const refused = await house.begin('Leila', id, bytes.length);
      expect([refused.status, ((await refused.json()) as { code: string }).code]).toEqual([507, 'storage-full']);
      expect(readdirSync(folder.coming)).toEqual([]);
      full.mockReturnValue(64 * MB + 200_000);
      expect((await house.begin('Leila', id, bytes.length)).status).toBe(201);
      // filled by something else meanwhile: what has come stays, and how much of it can be asked
      full.mockReturnValue(0);
      expect((await house.put('Leila', id, bytes.subarray(0, 70_000))).status).toBe(507);
      expect((await house.ask('Leila', 'HEAD', id)).headers.get('upload-offset')).toBe('0');
    } finally {
      full.mockRestore();
    }
    expect((await house.put('Leila', id, bytes)).status).toBe(204);
    expect(house.attachment(id)!.arrivedAt).not.toBeNull();
  });

  test('it goes on where it was broken off, and is there once', async () => {
    const bytes = Buffer.alloc(200_000, 7);
    const id = await house.announce('Leila', boiler, 'manual.bin', bytes.length);
    expect(house.attachment(id)).toMatchObject({ arrivedAt: null, sha256: null });
    expect((await house.ask('Leila', 'HEAD', id)).status).toBe(404);
    expect((await house.begin('Leila', id, bytes.length)).status).toBe(201);
    expect((await house.put('Leila', id, bytes.subarray(0, 70_000))).status).toBe(204);
    expect((await house.put('Leila', id, bytes.subarray(0, 70_000))).status).toBe(409);
    await server.restart();
    const asked = await house.ask('Leila', 'HEAD', id);
    expect(asked.headers.get('upload-offset')).toBe('70000');
    expect((await house.put('Leila', id, bytes.subarray(70_000), 70_000)).status).toBe(204);
    expect((await house.get('Tapio', id)).status).toBe(200);
    // tried again after all: it is there already
    for (const again of [await house.ask('Leila', 'HEAD', id), await house.begin('Leila', id, bytes.length), await house.put('Leila', id, bytes)])
      expect(again.status).toBe(410);
    expect(house.rows('attachment')).toHaveLength(1);
    expect(await house.get('Tapio', id).then((given) => given.arrayBuffer())).toHaveProperty('byteLength', 200_000);
  });

  test('a server that ended with all of it in hand finishes at the next start, and drops what nothing is known of', async () => {
    const photo = await sideways(80, 20);
    const id = await house.announce('Leila', boiler, 'last.jpg', photo.length);
    await house.begin('Leila', id, photo.length);
    const { folder } = server.services.files!;
    // ended between the last byte and what comes after it
    writeFileSync(folder.comingPath(id), photo);
    writeFileSync(folder.comingPath('0'.repeat(36)), 'nobody’s');
    writeFileSync(folder.keptPath('f'.repeat(64), 'whole'), 'nobody’s');
    await server.restart();
    await server.services.files!.dropUnknown();
    await server.services.files!.sweep();
    expect(house.attachment(id)).toMatchObject({ width: 20, height: 80 });
    expect(existsSync(folder.comingPath('0'.repeat(36))) || existsSync(folder.keptPath('f'.repeat(64), 'whole'))).toBe(false);
    expect(existsSync(folder.keptPath(house.attachment(id)!.sha256!, 'whole'))).toBe(false);
  });

  test('a server that ended while it put a file in its place says that nothing has come, never that all of it is here', async () => {
    const bytes = Buffer.alloc(500, 9);
    const id = await house.announce('Leila', boiler, 'lost.bin', bytes.length);
    await house.begin('Leila', id, bytes.length);
    const { folder } = server.services.files!;
    rmSync(folder.comingPath(id));
    await server.restart();
    for (const asked of [await house.ask('Leila', 'HEAD', id), await house.put('Leila', id, bytes)]) expect(asked.status).toBe(404);
    expect((await house.begin('Leila', id, bytes.length)).status).toBe(201);
    expect((await house.put('Leila', id, bytes)).status).toBe(204);
    expect((await house.get('Leila', id)).status).toBe(200);
  });

  test('what is too large is refused before a byte of it comes, with both sizes; two at once share the room that is left', async () => {
    const tooLarge = await house.announce('Leila', boiler, 'film.mp4', MB + 1);
    const refused = await house.begin('Leila', tooLarge, MB + 1);
    expect([refused.status, await refused.json()]).toEqual([413, expect.objectContaining({ code: 'file-too-large', params: { size: MB + 1, max: MB } })]);
    expect((await house.begin('Leila', tooLarge, 5)).status).toBe(400);
    for (const nth of [1, 2]) await house.attach('Leila', boiler, `${nth}.bin`, Buffer.alloc(MB, nth));
    const both = await Promise.all(['a', 'b'].map((name) => house.announce('Leila', boiler, name, 700_000)));
    const begun = await Promise.all(both.map((id) => house.begin('Leila', id, 700_000)));
    expect(begun.map(({ status }) => status).sort()).toEqual([201, 413]);
    const full = begun.find(({ status }) => status === 413)!;
    expect(await full.json()).toMatchObject({ code: 'house-full', params: { size: 700_000, max: MB - 700_000 } });
    expect(await room()).toEqual({ used: 2 * MB + 700_000, file: MB, house: 3 * MB });
    // called off: the room is free again
    const taken = both[begun.findIndex(({ status }) => status === 201)]!;
    expect((await house.ask('Leila', 'DELETE', taken)).status).toBe(204);
    expect((await room()).used).toBe(2 * MB);
  });

  test('the same bytes twice, and copied, are kept and counted once; gone thirty days after nothing leads to them', async () => {
    const bytes = Buffer.alloc(1000, 3);
    const first = await house.attach('Leila', boiler, 'one.bin', bytes);
    const second = await house.attach('Aino', boiler, 'two.bin', bytes);
    const copy = house.made('item', await house.must('Aino', 'item.copy', { items: [boiler] }));
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    expect(house.rows('attachment').map((row) => [row.itemId === copy.id, row.sha256])).toEqual(
      expect.arrayContaining([
        [false, sha256],
        [true, sha256],
      ]),
    );
    expect((await room()).used).toBe(1000);
    const { files } = server.services;
    const later = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString();
    const clock = jest.spyOn(server.services.clock, 'now');
    for (const { id } of house.rows('attachment')) await house.must('Aino', 'attachment.remove', { attachment: id });
    expect((await house.get('Leila', first)).status).toBe(404);
    clock.mockReturnValue(later(29));
    await files!.sweep();
    expect(existsSync(files!.folder.keptPath(sha256, 'whole'))).toBe(true);
    clock.mockRestore();
    // taken back in time: it is there again
    await house.must('Aino', 'undo', { command: house.rows('attachment').find(({ id }) => id === second)!.stamps['removedAt']!.c });
    clock.mockReturnValue(later(60));
    await files!.sweep();
    clock.mockRestore();
    expect((await house.get('Leila', second)).status).toBe(200);
    await house.must('Aino', 'attachment.remove', { attachment: second });
    jest.spyOn(server.services.clock, 'now').mockReturnValue(later(31));
    await files!.sweep();
    jest.restoreAllMocks();
    expect(existsSync(files!.folder.keptPath(sha256, 'whole'))).toBe(false);
  });

  test.each([
    ['a page with a script', 'page.html', text('<!doctype html><script>alert(1)</script>'), 'application/octet-stream', 'attachment'],
    [
      'a drawing with a script',
      'x.svg',
      text('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
      'application/octet-stream',
      'attachment',
    ],
    ['a page called a picture', 'x.jpg', text('<html><script>alert(1)</script>'), 'application/octet-stream', 'attachment'],
    ['a PDF called a picture', 'x.jpg', text('%PDF-1.7\n%âãÏÓ\n1 0 obj\n<<>>\nendobj\n'), 'application/pdf', 'inline'],
    ['the beginning of a picture', 'x.png', Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex'), 'application/octet-stream', 'attachment'],
    ['words', 'x.exe', text('Turn the valve to the left.'), 'text/plain; charset=utf-8', 'inline'],
  ])('%s is given out as what it is, and runs nowhere', async (_what, name, bytes, type, how) => {
    const id = await house.attach('Leila', boiler, name, bytes);
    expect(house.attachment(id)!.width).toBeNull();
    const given = await house.get('Leila', id);
    expect(given.status).toBe(200);
    expect(given.headers.get('content-type')).toBe(type);
    expect(given.headers.get('content-disposition')).toMatch(new RegExp(`^${how}; filename=`));
    expect(given.headers.get('x-content-type-options')).toBe('nosniff');
    expect(given.headers.get('content-security-policy')).toMatch(type === 'application/pdf' ? /default-src 'none'/ : /default-src 'none'.*sandbox/);
    expect((await house.get('Leila', id, 'small')).status).toBe(404);
    expect((await house.get('Leila', id, 'file?download')).headers.get('content-disposition')).toMatch(/^attachment/);
  });

  test('a drawing is a picture, on white or on a photo of the same item, and can be drawn on again', async () => {
    const stroke = { ink: 'red', width: 'broad', points: [[10, 10, 0.5], [390, 290, 0.5]] }; // prettier-ignore
    const drawn = (on: string | null) => text(JSON.stringify({ kind: 'kotiva-sketch', width: 400, height: 300, on, strokes: [stroke] }));
    const photo = await house.attach(
      'Leila',
      boiler,
      'photo.png',
      await sharp({ create: { width: 80, height: 60, channels: 3, background: '#2040a0' } })
        .png()
        .toBuffer(),
    );
    const others = house.made('item', await house.must('Aino', 'item.add', { title: 'Own' })).id;
    const secret = await house.attach(
      'Aino',
      others,
      'secret.png',
      await sharp({ create: { width: 80, height: 60, channels: 3, background: '#20a040' } })
        .png()
        .toBuffer(),
    );
    const corner = async (id: string) => {
      const bytes = Buffer.from(await (await house.get('Tapio', id, 'middle')).arrayBuffer());
      return [...(await sharp(bytes).extract({ left: 380, top: 10, width: 1, height: 1 }).raw().toBuffer())];
    };
    const [white, onPhoto, onSecret] = [
      await house.attach('Tapio', boiler, 'a', drawn(null)).catch(() => ''),
      await house.attach('Leila', boiler, 'b', drawn(photo)),
      await house.attach('Leila', boiler, 'c', drawn(secret)),
    ];
    expect(white).toBe('');
    const [red, , blue] = await corner(onPhoto);
    expect(blue! > red! + 60).toBe(true);
    // what lies elsewhere is not looked at through a drawing
    expect(Math.min(...(await corner(onSecret)))).toBeGreaterThan(240);
    expect(house.attachment(onPhoto)).toMatchObject({ width: 400, height: 300, mediaType: 'application/vnd.kotiva.sketch+json' });
    const strokes = await house.get('Tapio', onPhoto, 'strokes');
    expect(await strokes.json()).toMatchObject({ on: photo, strokes: [stroke] });
    expect(strokes.headers.get('content-disposition')).toMatch(/^attachment/);
    expect((await house.get('Tapio', photo, 'strokes')).status).toBe(404);
  });

  test('a picture that would fill the memory is none', async () => {
    // a PNG that says it is 50,000 × 50,000
    const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    png.writeUInt32BE(50_000, 16);
    png.writeUInt32BE(50_000, 20);
    const id = await house.attach('Leila', boiler, 'bomb.png', png);
    expect(house.attachment(id)).toMatchObject({ width: null, mediaType: 'application/octet-stream' });
  });

  test('names are names: no path, one line, not too long', async () => {
    const named = async (name: string) => house.attachment(await house.announce('Leila', boiler, name, 1))!.name;
    expect(await named('../../etc/passwd')).toBe('passwd');
    expect(await named('..\\..\\x')).toBe('x');
    expect(await named('a\u202egnp.exe\nb')).toBe('a gnp.exe b');
    expect(await named('..')).toBe('file');
    const long = await named(`${'å'.repeat(300)}.jpeg`);
    expect([long.length, long.endsWith('….jpeg')]).toEqual([200, true]);
    const empty = await house.send('Leila', { name: 'attachment.add', payload: { item: boiler, name: 'x', size: 0 } });
    expect(empty).toMatchObject({ outcome: 'refused', reason: { code: 'file-empty' } });
  });

  test('a recording is given in pieces, and asked again whether it may be seen', async () => {
    const id = await house.attach('Leila', boiler, 'hum.txt', text('0123456789'));
    const piece = await house.get('Leila', id, 'file', { range: 'bytes=2-4' });
    expect([piece.status, piece.headers.get('content-range'), await piece.text()]).toEqual([206, 'bytes 2-4/10', '234']);
    expect((await house.get('Leila', id, 'file', { range: 'bytes=20-' })).status).toBe(416);
    const tag = piece.headers.get('etag')!;
    expect((await house.get('Leila', id, 'file', { 'if-none-match': tag })).status).toBe(304);
    await house.must('Aino', 'part.takeBack', { item: boiler, persons: [house.person('Leila')] });
    expect((await house.get('Leila', id, 'file', { 'if-none-match': tag })).status).toBe(404);
  });

  test('sight that ends while a file comes ends the file; another’s upload is nobody else’s to go on with', async () => {
    const id = await house.announce('Leila', boiler, 'x.bin', 10);
    expect((await house.begin('Tapio', id, 10)).status).toBe(404);
    expect((await house.begin('Leila', id, 10)).status).toBe(201);
    expect((await house.put('Aino', id, Buffer.alloc(5))).status).toBe(404);
    expect((await house.put('Leila', id, Buffer.alloc(5))).status).toBe(204);
    expect((await server.fetch('/files/coming', { method: 'POST', headers: { 'tus-resumable': '1.0.0' } })).status).toBe(401);
    expect((await house.begin('Leila', id, 10, { origin: 'https://elsewhere.example' })).status).toBe(403);
    await house.must('Aino', 'part.takeBack', { item: boiler, persons: [house.person('Leila')] });
    expect((await house.put('Leila', id, Buffer.alloc(5), 5)).status).toBe(404);
    expect((await house.send('Leila', { name: 'attachment.remove', payload: { attachment: id } })).outcome).toBe('refused');
    await house.must('Aino', 'attachment.remove', { attachment: id });
    await server.services.files!.sweep();
    expect(existsSync(join(server.services.files!.folder.coming, id))).toBe(false);
    expect((await room()).used).toBe(0);
  });
});
