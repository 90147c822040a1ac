import { NOTICE_WORDS } from '@kotiva/core/words/en';
import { html } from 'hono/html';
import { frame } from '../../../server/src/outside/page.ts';
import type { KeptMail } from './mailbox.ts';
import type { Phones } from './phones.ts';

type Html = ReturnType<typeof html>;

const page = (title: string, body: Html): Html =>
  frame(
    title,
    body,
    html`<p class="muted">
      <a href="/">Kotiva</a> · <a href="/simulate">Stand-ins</a> · <a href="/simulate/mailbox">Mailbox</a> · <a href="/simulate/phones">Phones</a>
    </p>`,
  );

const STEPS = [
  ['PT1H', 'One hour'],
  ['PT12H', 'Twelve hours'],
  ['P1D', 'One day'],
  ['P7D', 'One week'],
] as const;

export const startPage = (now: string, capture: string | null): Html =>
  page(
    'What stands in for the world outside',
    html`<p>
        Mails and notifications go nowhere but here. It is <b>${now.slice(0, 16).replace('T', ' ')}</b> UTC for the houses; on the way to a later time
        everything that falls due happens in its order.
      </p>
      <form method="post" action="/simulate/clock">
        <p class="acts">${STEPS.map(([advance, words]) => html`<button name="advance" value="${advance}">${words} on</button>`)}</p>
      </form>
      ${capture ? html`<p class="muted">Mail comes in at <b>${capture}</b>.</p>` : ''}`,
  );

export const mailboxPage = (mails: readonly KeptMail[]): Html =>
  page(
    'Mailbox',
    mails.length === 0
      ? html`<p>Nothing has been sent yet.</p>`
      : html`<table>
          <tr>
            <th>To</th>
            <th>Subject</th>
          </tr>
          ${mails.map(
            (mail) =>
              html`<tr>
                <td>${mail.to}</td>
                <td><a href="/simulate/mailbox/${mail.id}">${mail.subject}</a></td>
              </tr>`,
          )}
        </table>`,
  );

export const mailPage = (mail: KeptMail, note: string | null): Html =>
  page(
    mail.subject,
    html`<p class="muted">From ${mail.from} to ${mail.to}</p>
      ${note ? html`<p class="said" role="status">${note}</p>` : ''}
      <p class="notes">${linked(mail.text)}</p>
      ${
        mail.calendar
          ? html`<h3>For the calendar</h3>
              <pre>${mail.calendar}</pre>`
          : ''
      }
      ${
        mail.replyTo
          ? html`<article>
              <h2>Reply as ${mail.to}</h2>
              <form method="post" action="/simulate/mailbox/${mail.id}/reply">
                <label>Words<textarea name="text" rows="3"></textarea></label>
                <p class="acts">
                  <button name="partstat" value="" class="main">Send the words</button>
                  ${
                    mail.calendar
                      ? html`<button name="partstat" value="COMPLETED">The calendar says: done</button><button name="partstat" value="ACCEPTED">accepted</button
                          ><button name="partstat" value="DECLINED">declined</button>`
                      : ''
                  }
                </p>
              </form>
            </article>`
          : ''
      }`,
  );

/** Addresses in a text as links; everything else as it is. */
const linked = (text: string): Html[] =>
  text.split(/(https?:\/\/[^\s]+)/).map((piece, nth) => (nth % 2 === 1 ? html`<a href="${piece}">${piece}</a>` : html`${piece}`));

export const phonesPage = (phones: Phones): Html =>
  page(
    'Phones',
    html`${phones.all().length === 0 ? html`<p>No device has switched on notifications. They are switched on under More.</p>` : ''}
    ${phones.all().map(
      (phone) =>
        html`<h2>${phone.name}</h2>
          ${phone.shown.length === 0 ? html`<p class="muted">Nothing on the screen.</p>` : ''}
          ${phone.shown.map(
            (message) =>
              html`<article>
                <h3>${message.title}</h3>
                ${message.body ? html`<p>${message.body}</p>` : ''}
                <form method="post" action="/simulate/phones/${phone.id}/${message.tag}">
                  ${message.acts.includes('answer') ? html`<label>Answer<textarea name="text" rows="1"></textarea></label>` : ''}
                  <p class="acts">
                    ${message.acts.map((act) => html`<button name="act" value="${act}">${NOTICE_WORDS[`act.${act as 'take'}`]}</button>`)}<button
                      name="act"
                      value=""
                    >
                      Swipe away
                    </button>
                  </p>
                </form>
              </article>`,
          )}`,
    )}`,
  );
