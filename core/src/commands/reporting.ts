import * as z from 'zod/mini';
import { isHere } from '../model/person.ts';
import { TITLE_MAX } from '../model/row.ts';
import { Id } from '../model/row-schema.ts';
import { commandKind } from './kind.ts';

/** A notice that could not be sent: told to whoever caused it, or to the managers where that was the clock. */
export const reportUndelivered = commandKind({
  name: 'notice.undelivered',
  payload: z.object({ notice: Id, why: z.string().check(z.maxLength(300)) }),
  asks: () => [{ permission: 'system' }],
  decide({ notice: noticeId, why }, d) {
    const notice = d.find('notice', noticeId);
    if (!notice || notice.kind === 'undelivered') return;
    const person = d.find('person', notice.personId);
    const managers = d.all('person').filter((one) => isHere(one) && one.role === 'manager');
    const told =
      notice.byId === null || notice.byId === notice.personId ? managers.map(({ id }) => id) : [...new Set([notice.byId, ...managers.map(({ id }) => id)])];
    for (const id of told)
      if (id !== notice.personId) d.notify(id, 'undelivered', notice.itemId, { title: String(notice.params['title'] ?? ''), who: person?.name ?? '', why });
  },
});

/** A mail came to somebody's capture address that nobody vouches for: they are told that it waits for them. */
export const reportHeldMail = commandKind({
  name: 'mail.held',
  payload: z.object({ person: Id, sender: z.string().check(z.maxLength(254)), title: z.string().check(z.maxLength(TITLE_MAX)) }),
  asks: () => [{ permission: 'system' }],
  decide({ person, sender, title }, d) {
    d.notify(person, 'mail-held', null, { who: sender, title });
  },
});
