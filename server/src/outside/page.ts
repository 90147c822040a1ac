import { sayMomentPlainly } from './dates.ts';
import { OUTSIDE_WORDS as WORDS } from '@kotiva/core/words/outside.en';
import { html, raw } from 'hono/html';
import type { OutsidePart, OutsideVisit } from './desk.ts';

type Html = ReturnType<typeof html>;

const say = (key: keyof typeof WORDS, slots: Record<string, string> = {}): string =>
  WORDS[key].replace(/\{(\w+)\}/g, (_slot, name: string) => slots[name] ?? '');

/** The whole page: works without a script. Every word that came from somebody is escaped by the template. */
export function outsidePage(visit: OutsideVisit, action: string, note: { words: string; late: boolean } | null): Html {
  const open = visit.parts.filter(({ done }) => !done);
  const done = visit.parts.filter((part) => part.done);
  return frame(
    say('title', { name: visit.person.name }),
    html`<p class="muted">${say('intro', { house: visit.house })}</p>
      ${note ? html`<p class="${note.late ? 'late' : 'said'}" role="${note.late ? 'alert' : 'status'}">${note.words}</p>` : ''}
      ${open.length === 0 ? html`<p>${say('nothing')}</p>` : ''} ${open.map((part) => openPart(part, action, visit.zone))}
      ${done.length > 0 ? html`<h2>${say('doneTitle')}</h2>` : ''} ${done.map((part) => donePart(part, action))}`,
  );
}

/** No more mail from a house, or mail again. */
export const stopPage = ({ house, person }: OutsideVisit, action: string, isStopped: boolean): Html =>
  frame(
    say('stopTitle', { house }),
    html`<p role="status">${say(isStopped ? 'stopped' : 'stopWhy', { house, name: person.name })}</p>
      <form method="post" action="${action}">
        ${isStopped ? html`<input type="hidden" name="again" value="1" />` : ''}
        <p class="acts"><button class="main">${say(isStopped ? 'mailAgain' : 'stopMail')}</button></p>
      </form>`,
  );

export const closedPage = (): Html => frame(say('gone'), html`<p>${say('goneWhy')}</p>`);

/** Said before all of it has come. */
export const tooLargePage = (max: number): Html =>
  frame(say('tooLarge'), html`<p role="alert">${say('tooLargeWhy', { max: String(Math.floor(max / 1024 / 1024)) })}</p>`);

function openPart({ item, part, giver, steps, said, files }: OutsidePart, action: string, zone: string): Html {
  const facts = [say('from', { name: giver }), item.due ? say('by', { when: sayMomentPlainly(item.due) }) : ''].filter(Boolean).join(' · ');
  return html`<article id="${item.id}">
    <h2>${item.title}</h2>
    <p class="muted">${facts}</p>
    ${part.message ? html`<blockquote>${part.message}</blockquote>` : ''} ${item.notes ? html`<p class="notes">${item.notes}</p>` : ''}
    ${files.length > 0 ? html`<div class="files">${files.map((file) => fileOf(file, action))}</div>` : ''}
    ${steps.length > 0 ? html`<h3>${say('steps')}</h3>` : ''} ${steps.map((step) => stepLine(step, action))}
    ${said.map(({ author, text, at }) => html`<p class="line"><b>${author}</b> <span class="muted">${sayInstantPlainly(at, zone)}</span><br />${text}</p>`)}
    ${part.standing === 'accepted' ? html`<p class="muted">${say('taken')}</p>` : ''}
    <form method="post" action="${action}">
      <input type="hidden" name="item" value="${item.id}" />
      <label>${say('words')}<textarea name="text" rows="2" maxlength="20000"></textarea></label>
      <p class="acts">
        <button name="act" value="done" class="main">${say('checkOff')}</button>
        ${part.standing === 'needs-action' ? html`<button name="act" value="take">${say('take')}</button>` : ''}
        <button name="act" value="ask">${say('ask')}</button>
        <button name="act" value="cant">${say('cant')}</button>
        <button name="act" value="say">${say('say')}</button>
      </p>
    </form>
    <form method="post" action="${action}/photo" enctype="multipart/form-data">
      <input type="hidden" name="item" value="${item.id}" />
      <label>${say('photo')}<input type="file" name="photo" accept="image/*,application/pdf" required /></label>
      <p class="acts"><button>${say('sendPhoto')}</button></p>
    </form>
  </article>`;
}

/** A picture small, which leads to it large; of anything else its name. */
function fileOf({ id, name, url, width }: OutsidePart['files'][number], action: string): Html {
  if (url !== null) return html`<a href="${url}" rel="noreferrer noopener">${name}</a>`;
  const at = `${action}/files/${id}`;
  if (width === null) return html`<a href="${at}/file">${name}</a>`;
  return html`<a href="${at}/large"><img src="${at}/small" alt="${name}" loading="lazy" /></a>`;
}

const stepLine = ({ id, title, done }: OutsidePart['steps'][number], action: string): Html =>
  html`<form method="post" action="${action}" class="step">
    <input type="hidden" name="item" value="${id}" />
    <span class="${done ? 'struck' : ''}">${title}</span>
    <button name="act" value="${done ? 'step-undone' : 'step-done'}">${done ? say('uncheck') : say('checkOff')}</button>
  </form>`;

const donePart = ({ item }: OutsidePart, action: string): Html =>
  html`<form method="post" action="${action}" class="step" id="${item.id}">
    <input type="hidden" name="item" value="${item.id}" />
    <span class="struck">${item.title}</span>
    <button name="act" value="undone">${say('uncheck')}</button>
  </form>`;

const sayInstantPlainly = (at: string, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(
    new Date(at),
  );

/** The look of the application in one page: its tokens, light and dark. */
export function frame(title: string, body: Html, above: Html | '' = ''): Html {
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="robots" content="noindex" />
        <title>${title}</title>
        <style>
          ${raw(STYLE)}
        </style>
      </head>
      <body>
        <main>
          ${above}
          <h1>${title}</h1>
          ${body}
        </main>
      </body>
    </html>`;
}

const STYLE = `
:root { color-scheme: light dark; --ground: #eef2f0; --surface: #fbfcfb; --sunk: #e2e9e6; --line: #c5d0cc; --ink: #10292e; --muted: #4c6166; --pine: #0f6b5a; --onpine: #fff; --late: #b0213f; }
@media (prefers-color-scheme: dark) { :root { --ground: #0b1a1e; --surface: #12262b; --sunk: #081317; --line: #2c454b; --ink: #e8f0ee; --muted: #9db3b4; --pine: #5cc9ae; --onpine: #0b1a1e; --late: #ff8a9b; } }
body { margin: 0; background: var(--ground); color: var(--ink); font: 17px/1.45 system-ui, sans-serif; }
main { max-width: 620px; margin: 0 auto; padding: 24px 16px 64px; }
h1 { font-size: 26px; margin: 0 0 4px; } h2 { font-size: 20px; margin: 0 0 2px; } h3 { font-size: 17px; margin: 16px 0 4px; }
main > h2 { margin-top: 32px; } p { margin: 4px 0 8px; } .muted { color: var(--muted); font-size: 15px; } .notes { white-space: pre-wrap; }
article { background: var(--surface); border-radius: 14px; padding: 16px; margin: 16px 0; }
blockquote { margin: 8px 0; padding-left: 12px; border-left: 2px solid var(--pine); white-space: pre-wrap; }
.line { margin: 12px 0; white-space: pre-wrap; } .said { color: var(--pine); font-weight: 700; } .late { color: var(--late); font-weight: 700; }
label { display: block; font-size: 15px; color: var(--muted); margin-top: 12px; }
textarea, select, input[type=text] { box-sizing: border-box; width: 100%; font: inherit; color: var(--ink); background: var(--sunk); border: 0; border-radius: 6px; padding: 10px 12px; margin-top: 4px; }
.acts { display: flex; flex-wrap: wrap; gap: 8px; margin: 12px 0 0; }
button { font: inherit; min-height: 44px; padding: 0 16px; border: 0; border-radius: 6px; background: var(--sunk); color: var(--ink); cursor: pointer; }
button.main { background: var(--pine); color: var(--onpine); font-weight: 700; } :focus-visible { outline: 3px solid var(--pine); outline-offset: 2px; }
.step { display: flex; align-items: center; gap: 12px; min-height: 52px; border-bottom: 1px solid var(--line); } .step span { flex: 1; } .struck { text-decoration: line-through; color: var(--muted); }
td:first-child { width: 40%; overflow-wrap: anywhere; } .files { display: flex; flex-wrap: wrap; gap: 8px; margin: 8px 0; } .files img { display: block; width: 96px; height: 96px; object-fit: cover; border-radius: 6px; background: var(--sunk); } input[type=file] { display: block; margin-top: 4px; font: inherit; max-width: 100%; }
table { width: 100%; border-collapse: collapse; } td, th { text-align: left; padding: 10px 8px 10px 0; border-bottom: 1px solid var(--line); vertical-align: top; } a { color: var(--pine); }
pre { white-space: pre-wrap; overflow-wrap: anywhere; background: var(--sunk); border-radius: 6px; padding: 12px; font: 15px/1.45 ui-monospace, monospace; }
`;
