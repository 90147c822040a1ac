import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SMTPServer } from 'smtp-server';

export interface KeptMail {
  id: string;
  to: string;
  from: string;
  replyTo: string | null;
  messageId: string | null;
  subject: string;
  text: string;
  at: string;
  /** What went along for a calendar, as text. */
  calendar: string | null;
}

/** A mailbox for everybody: takes whatever is sent by SMTP and keeps it in a folder, to be read on a page. Nothing leaves the machine. */
export class Mailbox {
  private readonly server: SMTPServer;

  constructor(private readonly folder: string) {
    mkdirSync(folder, { recursive: true });
    this.server = new SMTPServer({
      disabledCommands: ['AUTH', 'STARTTLS'],
      logger: false,
      onData: (stream, _session, callback) => {
        const chunks: Buffer[] = [];
        stream.on('data', (chunk: Buffer) => chunks.push(chunk));
        stream.on('end', () => {
          this.keep(Buffer.concat(chunks));
          callback();
        });
      },
    });
  }

  /** Listens on a free port of this machine; gives the address to send to. */
  listen(): Promise<string> {
    return new Promise((resolve) => {
      const listening = this.server.listen(0, '127.0.0.1', () => resolve(`smtp://127.0.0.1:${(listening.address() as { port: number }).port}`));
    });
  }

  /** Newest first. */
  async all(): Promise<KeptMail[]> {
    return Promise.all(this.ids().map((id) => this.read(id)));
  }

  async get(id: string): Promise<KeptMail | null> {
    return this.ids().includes(id) ? this.read(id) : null;
  }

  keep(raw: Buffer | string): void {
    const nth = this.ids().length + 1;
    writeFileSync(join(this.folder, `${String(nth).padStart(5, '0')}.eml`), raw);
  }

  private ids(): string[] {
    return readdirSync(this.folder)
      .filter((name) => /^\d+\.eml$/.test(name))
      .map((name) => name.slice(0, -4))
      .sort()
      .reverse();
  }

  private async read(id: string): Promise<KeptMail> {
    const { simpleParser } = await import('mailparser');
    const mail = await simpleParser(readFileSync(join(this.folder, `${id}.eml`)));
    const to = Array.isArray(mail.to) ? mail.to[0] : mail.to;
    const calendar = mail.attachments.find(({ contentType }) => contentType.startsWith('text/calendar') || contentType === 'application/ics');
    return {
      id,
      to: to?.text ?? '',
      from: mail.from?.text ?? '',
      replyTo: mail.replyTo?.value[0]?.address ?? null,
      messageId: mail.messageId ?? null,
      subject: mail.subject ?? '',
      text: mail.text ?? '',
      at: (mail.date ?? new Date(0)).toISOString(),
      calendar: calendar ? calendar.content.toString('utf8') : null,
    };
  }
}
