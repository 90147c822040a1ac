import nodemailer, { type Transporter } from 'nodemailer';
import { SENT, type Mail, type MailPort, type Sent } from './messenger.ts';

const PATIENCE_MS = 15_000;

/** Mail by SMTP (RFC 5321). */
export class Smtp implements MailPort {
  private readonly transport: Transporter;

  constructor(
    url: string,
    private readonly from: string,
  ) {
    this.transport = nodemailer.createTransport(url, { connectionTimeout: PATIENCE_MS, greetingTimeout: PATIENCE_MS, socketTimeout: PATIENCE_MS } as never);
  }

  async send({ to, subject, text, messageId, replyTo, returnPath, calendar, unsubscribe }: Mail): Promise<Sent> {
    try {
      await this.transport.sendMail({
        from: this.from,
        to,
        subject,
        text,
        replyTo,
        envelope: returnPath ? { from: returnPath, to } : undefined,
        messageId: `<${messageId}>`,
        // what a machine sends says so (RFC 3834), so that no machine answers it
        headers: {
          'Auto-Submitted': 'auto-generated',
          ...(unsubscribe ? { 'List-Unsubscribe': `<${unsubscribe}>`, 'List-Unsubscribe-Post': 'List-Unsubscribe=One-Click' } : {}),
        },
        icalEvent: calendar && { method: calendar.method, filename: 'item.ics', content: calendar.text },
        disableFileAccess: true,
        disableUrlAccess: true,
      });
      return SENT;
    } catch (error) {
      const { responseCode, message } = error as Error & { responseCode?: number };
      // 5yz: this will not go through however often it is tried (RFC 5321 4.2.1)
      return { outcome: responseCode !== undefined && responseCode >= 500 ? 'never' : 'later', why: message.slice(0, 200) };
    }
  }
}
