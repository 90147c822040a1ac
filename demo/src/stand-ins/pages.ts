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
      <a href="/">Kotiva</a> · <a href="/simulate">Clock</a> · <a href="/simulate/mailbox">Mailbox</a> · <a href="/simulate/phones">Phones</a>
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
    'The demo’s clock',
    html`<p>
        In the demo it’s <b>${now.slice(0, 16).replace('T', ' ')}</b> (UTC). Move the clock forward, and everything that falls due on the way happens in order.
        Emails and notifications go no further than the pages above.
      </p>
      <form method="post" action="/simulate/clock">
        <p class="acts">${STEPS.map(([advance, words]) => html`<button name="advance" value="${advance}">${words} later</button>`)}</p>
      </form>
      ${capture ? html`<p class="muted">Emails are received at <b>${capture}</b>.</p>` : ''}`,
  );

export const mailboxPage = (mails: readonly KeptMail[]): Html =>
  page(
    'Mailbox',
    mails.length === 0
      ? html`<p>No emails yet.</p>`
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
          ? html`<h3>Calendar attachment</h3>
              <pre>${mail.calendar}</pre>`
          : ''
      }
      ${
        mail.replyTo
          ? html`<article>
              <h2>Reply as ${mail.to}</h2>
              <form method="post" action="/simulate/mailbox/${mail.id}/reply">
                <label>Message<textarea name="text" rows="3"></textarea></label>
                <p class="acts">
                  <button name="partstat" value="" class="main">Send reply</button>
                  ${
                    mail.calendar
                      ? html`<button name="partstat" value="COMPLETED">Reply “done” from the calendar</button
                          ><button name="partstat" value="ACCEPTED">Reply “accepted”</button><button name="partstat" value="DECLINED">Reply “declined”</button>`
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
    html`${phones.all().length === 0 ? html`<p>No device has notifications turned on yet. Turn them on in More, under Notifications.</p>` : ''}
    ${phones.all().map(
      (phone) =>
        html`<h2>${phone.name}</h2>
          ${phone.shown.length === 0 ? html`<p class="muted">Nothing on its screen.</p>` : ''}
          ${phone.shown.map(
            (message) =>
              html`<article>
                <h3>${message.title}</h3>
                ${message.body ? html`<p>${message.body}</p>` : ''}
                <form method="post" action="/simulate/phones/${phone.id}/${message.tag}">
                  ${message.acts.includes('answer') ? html`<label>Reply<textarea name="text" rows="1"></textarea></label>` : ''}
                  <p class="acts">
                    ${message.acts.map((act) => html`<button name="act" value="${act}">${NOTICE_WORDS[`act.${act as 'take'}`]}</button>`)}<button
                      name="act"
                      value=""
                    >
                      Dismiss
                    </button>
                  </p>
                </form>
              </article>`,
          )}`,
    )}`,
  );
