import { invitationClosed, isHere, type Invitation } from '@kotiva/core';
import { Hono } from 'hono';
import { networkOf } from '../auth/addresses.ts';
import type { Env, Services } from '../context.ts';
import { Problem } from '../problem.ts';
import { addressOf, refuseWhileLimited } from './asker.ts';

/** What an invitation link says before anybody is signed in. */
export function invitationRoutes(services: Services): Hono<Env> {
  const { ledger, clock, limits } = services;
  const app = new Hono<Env>();

  // a link gives no title away: only the house, who invites and as what
  app.get('/invitations/:token', (c) => {
    const asker = `invitation ${networkOf(addressOf(c, services))}`;
    refuseWhileLimited(limits.links, asker);
    const invitation = invitationWith(services, c.req.param('token'));
    if (!invitation) {
      limits.links.count(asker);
      throw unknownInvitation();
    }
    const rows = ledger.rows(invitation.houseId);
    const house = rows.find('house', invitation.houseId);
    const maker = rows.find('person', invitation.makerId);
    if (house === undefined || maker === undefined) throw unknownInvitation();
    const taken = rows
      .all('person')
      .filter(isHere)
      .map(({ mark, colour, pattern }) => ({ mark, colour, pattern }));
    const { role, lists } = invitation;
    // what was prepared for them is where they come in: its id tells nothing of it
    const opens = lists.length === 1 ? lists[0]!.listId : null;
    return c.json({ houseId: house.id, house: house.name, by: maker.name, role, opens, closed: invitationClosed(invitation, clock.now()), taken });
  });

  return app;
}

/** The invitation of a token, in whatever house; null: there is none. */
export function invitationWith({ storage, ledger }: Pick<Services, 'storage' | 'ledger'>, token: string): Invitation | null {
  const found = storage.raw.prepare('SELECT "houseId" FROM invitation WHERE token = ?').get(token) as { houseId: string } | undefined;
  return found ? (ledger.rows(found.houseId).by('invitation', 'token', token)[0] ?? null) : null;
}

const unknownInvitation = () => new Problem(404, 'invitation-unknown', 'This invitation is not known. Ask for a new link.');
