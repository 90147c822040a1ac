const CACHE = 'kotiva-shared';
const PLACE = '/shared/';
/** So many are taken at once; a gallery lets somebody choose hundreds. */
const MOST = 50;
const WORDS = ['title', 'text', 'url'] as const;

/** What another application shares comes as a form: its words go on in the address, its files wait beside it. */
export async function receiveShared(request: Request): Promise<Response> {
  const form = (await request.formData()) as unknown as { get(name: string): unknown; getAll(name: string): unknown[] };
  const files = form
    .getAll('files')
    .filter((one): one is File => one instanceof File && one.size > 0)
    .slice(0, MOST);
  await dropShared();
  const cache = await caches.open(CACHE);
  for (const [nth, file] of files.entries())
    await cache.put(PLACE + nth, new Response(file, { headers: { 'content-type': file.type, 'x-name': encodeURIComponent(file.name) } }));
  const query = new URLSearchParams(files.length > 0 ? { files: String(files.length) } : {});
  for (const name of WORDS) {
    const value = form.get(name);
    if (typeof value === 'string' && value !== '') query.set(name, value.slice(0, 20_000));
  }
  return Response.redirect(`/share?${query}`, 303);
}

/** They are kept elsewhere now. */
export async function dropShared(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(CACHE);
}

/** The files that wait. */
export async function sharedFiles(): Promise<File[]> {
  if (typeof caches === 'undefined') return [];
  const cache = await caches.open(CACHE);
  const files: File[] = [];
  for (const request of await cache.keys()) {
    const kept = await cache.match(request);
    const name = decodeURIComponent(kept?.headers.get('x-name') ?? 'file');
    if (kept) files.push(new File([await kept.blob()], name, { type: kept.headers.get('content-type') ?? '' }));
  }
  return files;
}
