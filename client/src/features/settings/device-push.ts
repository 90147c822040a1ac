import { useEffect, useState } from 'react';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { isPushWithdrawn, keepPush } from '@/store/push-permission.ts';

interface PushState {
  publicKey: string;
  on: boolean;
  /** The demo: a phone of its own stands in for the browser's push service. */
  simulated: boolean;
  /** Whether this installation sends mail. */
  mail: boolean;
}
interface Subscription {
  endpoint: string;
  keys: { p256dh: string; auth: string };
}

/** `refused`: by the browser, which only its own settings can change; `withdrawn`: after they were on. `impossible`: this browser has none. */
export type PushHindrance = 'refused' | 'impossible' | 'withdrawn';

/** Device notifications of this browser, switched on and off. */
export function useDevicePush() {
  const [state, setState] = useState<PushState | null>(null);
  const [hindrance, setHindrance] = useState<PushHindrance | null>(null);
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  const load = () =>
    void ask<PushState>('GET', '/me/push').then((answer) => {
      if (!answer.ok) return;
      setState(answer.value);
      keepPush(answer.value.on);
      if (isPushWithdrawn()) setHindrance('withdrawn');
    });
  useEffect(load, []);

  const switchOn = async () => {
    setProblem(null);
    const subscription = state && (await subscribe(state));
    if (!subscription) return;
    if (typeof subscription === 'string') return setHindrance(subscription);
    const answer = await ask('POST', '/me/push', subscription);
    setProblem(answer.ok ? null : answer.problem);
    load();
  };
  const switchOff = async () => {
    const registration = await navigator.serviceWorker?.getRegistration();
    await (await registration?.pushManager?.getSubscription())?.unsubscribe();
    const answer = await ask('DELETE', '/me/push');
    setProblem(answer.ok ? null : answer.problem);
    load();
  };
  return { state, hindrance, problem, switchOn, switchOff };
}

async function subscribe({ simulated, publicKey }: PushState): Promise<Subscription | PushHindrance | null> {
  if (!('Notification' in window)) return 'impossible';
  if ((await Notification.requestPermission()) !== 'granted') return 'refused';
  if (simulated) {
    const answer = await ask<Subscription>('POST', '/simulate/phones');
    return answer.ok ? answer.value : null;
  }
  const registration = await navigator.serviceWorker?.getRegistration();
  if (!registration?.pushManager) return 'impossible';
  try {
    const made = await registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: publicKey });
    return made.toJSON() as unknown as Subscription;
  } catch {
    return 'impossible';
  }
}
