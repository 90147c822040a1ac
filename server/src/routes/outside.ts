import { type CommandName, type Reason } from '@kotiva/core';
import { OUTSIDE_WORDS } from '@kotiva/core/words/outside.en';
import { Hono, type Context } from 'hono';
import { v7 } from 'uuid';
import * as z from 'zod';
import { networkOf } from '../auth/addresses.ts';
import type { Env, Services } from '../context.ts';
import type { OutsideVisit } from '../outside/desk.ts';
import { closedPage, outsidePage, stopPage } from '../outside/page.ts';
import { Problem } from '../problem.ts';
import { isSize, pictureOf, wholeOf } from './files.ts';
import { memberOf } from './house.ts';
import { addressOf, refuseWhileLimited } from './asker.ts';
import { signedIn } from './session.ts';

const Answer = z.object({
  item: z.uuid(),
  act: z.enum(['take', 'done', 'undone', 'cant', 'ask', 'say', 'step-done', 'step-undone']),
  text: z.string().max(20_000).default(''),
});
type Answer = z.infer<typeof Answer>;

/** The page of a person without an account, by their link. A GET changes nothing: mail programs open links by themselves. */
export function outsidePages(services: Services): Hono<Env> {
  const { desk, ledger, clock, limits, links } = services;
  const app = new Hono<Env>();

  app.use('*', async (c, next) => {
    await next();
    c.header('Cache-Control', 'no-store');
    c.header('X-Robots-Tag', 'noindex');
  });

  app.get('/:token', (c) => {
    const visit = visited(c);
    return visit ? c.html(outsidePage(visit, c.req.path, noteOf(c))) : c.html(closedPage(), 404);
  });

  // one click of a mail program (RFC 8058) posts here too
  app.get('/:token/stop', (c) => {
    const visit = visited(c);
    return visit ? c.html(stopPage(visit, c.req.path, stops(visit))) : c.html(closedPage(), 404);
  });

  app.post('/:token/stop', async (c) => {
    const visit = visited(c);
    if (!visit) return c.html(closedPage(), 404);
    const { again } = await fieldsOf(c);
    if (again === '1') links.mailAgain(visit);
    else links.stopMail(visit);
    return c.redirect(c.req.path, 303);
  });

  app.get('/:token/files/:attachment/:as', async (c) => {
    const visit = visited(c);
    const attachment = visit?.parts.flatMap(({ files }) => files).find(({ id }) => id === c.req.param('attachment'));
    const as = c.req.param('as');
    if (!attachment || !services.files || (as !== 'file' && !isSize(as))) return c.html(closedPage(), 404);
    return isSize(as) ? pictureOf(c, attachment, as, services.files) : wholeOf(c, attachment, services.files);
  });

  app.post('/:token/photo', async (c) => {
    const visit = visited(c);
    if (!visit) return c.html(closedPage(), 404);
    const page = c.req.path.slice(0, -'/photo'.length);
    const refused = await takePhoto(visit, await fieldsOf(c));
    if (refused) return c.html(outsidePage(visit, page, { words: refused, late: true }), 422);
    return c.redirect(`${page}?saved=1`, 303);
  });

  /** Null when it went; else why not, as a sentence. */
  async function takePhoto(visit: OutsideVisit, { item, photo }: Record<string, unknown>): Promise<string | null> {
    const { files } = services;
    if (!files || !visit.parts.some((part) => part.item.id === item)) return say('refused', 'it is not in your hands any more');
    if (!(photo instanceof File) || photo.size === 0) return OUTSIDE_WORDS.photoEmpty;
    const bytes = Buffer.from(await photo.arrayBuffer());
    const given = { by: desk.actor(visit), houseId: visit.houseId, commandId: v7(), item: String(item), name: photo.name, bytes };
    const refused = await files.takeWhole(given);
    if (refused === 'file-too-large') return OUTSIDE_WORDS.photoTooLarge.replace('{max}', String(Math.floor(files.room.limits.file / 1024 / 1024)));
    if (refused === 'house-full' || refused === 'storage-full') return OUTSIDE_WORDS.photoNoRoom;
    return refused ? say('refused', 'please ask whoever sent it') : null;
  }

  app.post('/:token', async (c) => {
    const visit = visited(c);
    if (!visit) return c.html(closedPage(), 404);
    const answer = Answer.safeParse(await fieldsOf(c));
    if (!answer.success) return c.html(outsidePage(visit, c.req.path, { words: say('refused', 'it could not be read'), late: true }), 422);
    const refused = give(visit, answer.data);
    if (refused) return c.html(outsidePage(visit, c.req.path, { words: refused, late: true }), 422);
    // answered by a redirect, so that loading the page again sends nothing twice
    return c.redirect(`${c.req.path}?saved=1`, 303);
  });

  const stops = (visit: OutsideVisit): boolean => links.isMailStopped(visit);

  /** A body that is no form, or not whole, is one without fields. */
  const fieldsOf = (c: Context): Promise<Record<string, unknown>> => c.req.parseBody().catch(() => ({}));

  function visited(c: Context): OutsideVisit | null {
    const asker = `outside ${networkOf(addressOf(c, services))}`;
    refuseWhileLimited(limits.links, asker);
    const visit = desk.visit(c.req.param('token') ?? '');
    if (!visit) limits.links.count(asker);
    return visit;
  }

  const noteOf = (c: Context) => (c.req.query('saved') === '1' ? { words: OUTSIDE_WORDS.saved.replace('{name}', 'Whoever asked you'), late: false } : null);

  /** Null when it went; else why not, as a sentence. */
  function give(visit: OutsideVisit, { item, act, text }: Answer): string | null {
    const own = visit.parts.some((part) => part.item.id === item || part.steps.some((step) => step.id === item));
    if (!own) return say('refused', 'it is not in your hands any more');
    if ((act === 'cant' || act === 'ask' || act === 'say') && text.trim() === '') return OUTSIDE_WORDS.needsWords;
    for (const [name, payload] of commandsOf(visit, { item, act, text: text.trim() })) {
      const outcome = ledger.apply({ id: v7(), houseId: visit.houseId, name, payload, at: clock.now(), seen: ledger.seq(visit.houseId) }, desk.actor(visit));
      if (outcome.outcome === 'refused') return say('refused', whyNot(outcome.reason));
    }
    return null;
  }

  return app;
}

const say = (key: 'refused', why: string): string => OUTSIDE_WORDS[key].replace('{why}', why);

/** Who has no account needs few reasons. */
const whyNot = ({ code }: Reason): string => (code === 'not-yours' || code === 'gone' ? 'it is not in your hands any more' : 'please ask whoever sent it');

export function commandsOf({ person }: Pick<OutsideVisit, 'person'>, { item, act, text }: Answer): [CommandName, unknown][] {
  const remark: [CommandName, unknown][] = text ? [['comment.say', { item, text }]] : [];
  switch (act) {
    case 'take':
      return [['part.accept', { item }], ...remark];
    case 'done':
      return [...remark, ['part.checkOff', { item, person: person.id }]];
    case 'undone':
      return [['part.uncheck', { item, person: person.id }]];
    case 'cant':
      return [['part.decline', { item, reason: text }]];
    case 'ask':
      return [['part.askBack', { item, question: text }]];
    case 'say':
      return remark;
    case 'step-done':
      return [['part.checkOff', { item, person: null }]];
    case 'step-undone':
      return [['part.uncheck', { item, person: null }]];
  }
}

/** For managers: the link of somebody without an account, and its withdrawal. For everyone: one's own capture address. */
export function linkRoutes(services: Services): Hono<Env> {
  const { ledger, desk, links, mailDomain, mailIn } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  const outsider = (c: Context<Env>) => {
    const me = memberOf(c, services);
    if (me.role !== 'manager') throw new Problem(403, 'not-allowed', 'Only managers see these links.');
    const person = ledger.rows(me.houseId).find('person', c.req.param('person') ?? '');
    if (person === undefined || person.accountId !== null) throw new Problem(404, 'gone', 'This person is not there any more.');
    return { houseId: me.houseId, personId: person.id };
  };

  app.post('/houses/:house/people/:person/link', onlySignedIn, (c) => c.json({ link: desk.linkOf(outsider(c)) }));

  app.delete('/houses/:house/people/:person/link', onlySignedIn, (c) => {
    links.withdraw(outsider(c));
    return c.body(null, 204);
  });

  app.get('/houses/:house/capture-address', onlySignedIn, (c) =>
    c.json({ address: mailIn ? `c${links.captureTokenOf(memberOf(c, services).id)}@${mailDomain}` : null }),
  );

  return app;
}
