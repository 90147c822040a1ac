import { Hono } from 'hono';
import type { Env, Services } from '../context.ts';
import { bodyOf, Problem } from '../problem.ts';
import * as z from 'zod';
import type { HeldMail } from '../mail-in/held-mail.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** Mail to one's capture address that nobody vouches for: its owner takes it, or throws it away. Nobody else sees it. */
export function heldMailRoutes(services: Services): Hono<Env> {
  const { mailIn } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.get('/houses/:house/held-mail', onlySignedIn, (c) => {
    const person = memberOf(c, services);
    const held = mailIn?.held.of(person.id) ?? [];
    return c.json({ held: held.map(({ notes, ...mail }) => ({ ...shown(mail), notes: notes.slice(0, 500) })) });
  });

  app.post('/houses/:house/held-mail/:mail', onlySignedIn, async (c) => {
    const person = memberOf(c, services);
    const { take } = await bodyOf(c, z.object({ take: z.boolean() }));
    const id = c.req.param('mail');
    if (!mailIn?.held.get(person.id, id)) throw new Problem(404, 'gone', 'This mail is not there any more.');
    if (!take) mailIn.held.remove(person.id, id);
    else if (!(await mailIn.accept(person, id))) throw new Problem(422, 'not-added', 'It could not be added.');
    return c.body(null, 204);
  });

  return app;
}

const shown = ({ id, sender, title, at, files, filesLeft }: Omit<HeldMail, 'notes'>) => ({ id, sender, title, at, files, filesLeft });
