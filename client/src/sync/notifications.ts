/// <reference lib="webworker" />
import type { PushMessage } from '@kotiva/core';
import { NOTICE_WORDS } from '@kotiva/core/words/en';

/** Not in the types yet: a field to answer in. */
type Action = { action: string; title: string; type?: 'button' | 'text'; placeholder?: string };

/** Shows what is pushed, also with the application closed; a tap on a word does it, a tap on the rest opens it. */
export function listenForPushes(worker: ServiceWorkerGlobalScope): void {
  worker.addEventListener('push', (event) => {
    const pushed = event.data?.json() as PushMessage | undefined;
    if (pushed) event.waitUntil(show(worker, pushed));
  });
  worker.addEventListener('notificationclick', (event) => {
    event.notification.close();
    const { reply } = event as NotificationEvent & { reply?: string };
    event.waitUntil(act(worker, event.notification.data as PushMessage, event.action, reply ?? ''));
  });
}

function show(worker: ServiceWorkerGlobalScope, pushed: PushMessage): Promise<void> {
  const actions: Action[] = pushed.acts.map((action) => ({
    action,
    title: NOTICE_WORDS[`act.${action}`],
    ...(action === 'answer' ? { type: 'text', placeholder: NOTICE_WORDS['act.answer'] } : {}),
  }));
  const options = { body: pushed.body, tag: pushed.tag, data: pushed, icon: '/icon-192.png', actions };
  return worker.registration.showNotification(pushed.title, options as NotificationOptions);
}

/** What could not be done from here, for want of words or of a network, is done inside. */
async function act(worker: ServiceWorkerGlobalScope, pushed: PushMessage, action: string, text: string): Promise<void> {
  const canAnswer = action !== '' && (action !== 'answer' || text.trim() !== '');
  if (canAnswer && (await sent(pushed, action, text))) return;
  const address = pushed.itemId ? `/?item=${pushed.itemId}` : '/';
  const [open] = await worker.clients.matchAll({ type: 'window' });
  if (!open) return void (await worker.clients.openWindow(address));
  await open.focus();
  await open.navigate(address);
}

async function sent({ houseId, noticeId }: PushMessage, act: string, text: string): Promise<boolean> {
  const response = await fetch(`/api/houses/${houseId}/notices/${noticeId}/act`, {
    method: 'POST',
    credentials: 'same-origin',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ act, text }),
  }).catch(() => null);
  return response?.ok ?? false;
}
