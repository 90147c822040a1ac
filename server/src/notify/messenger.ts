import type { PushMessage } from '@kotiva/core';

export type { PushMessage };

/** What became of an attempt to send. `later`: try again; `never`: this address takes nothing. */
export type Sent = { outcome: 'sent' } | { outcome: 'later' | 'never'; why: string };

export const SENT: Sent = { outcome: 'sent' };

/** A device that takes notifications (Push API PushSubscription). */
export interface PushTarget {
  endpoint: string;
  p256dh: string;
  auth: string;
}

export interface Mail {
  to: string;
  subject: string;
  text: string;
  /** RFC 5322, without the angle brackets: the same for every attempt. */
  messageId: string;
  replyTo?: string;
  /** RFC 5321 reverse-path: where a mail that could not be delivered comes back to. */
  returnPath?: string;
  /** Where who gets it ends such mails with one click (RFC 8058). */
  unsubscribe?: string;
  /** An iTIP message (RFC 5546) that goes along. */
  calendar?: { method: 'REQUEST' | 'CANCEL'; text: string };
}

/** Push as a port: the Web Push protocol, or a stand-in. */
export interface PushPort {
  send(target: PushTarget, message: PushMessage): Promise<Sent>;
}

/** Mail as a port: SMTP, or a stand-in. */
export interface MailPort {
  send(mail: Mail): Promise<Sent>;
}
