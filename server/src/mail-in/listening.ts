import { SMTPServer, type SMTPServerDataStream, type SMTPServerSession } from 'smtp-server';
import { isOfStorage } from '../db/faults.ts';
import { Lanes } from '../lanes.ts';
import type { MailIn } from './mail-in.ts';

export const MOST_BYTES = 10 * 1024 * 1024;
const MOST_CONNECTIONS = 50;
const MOST_OF_ADDRESS = 5;
const MOST_RECIPIENTS = 20;
const SILENCE_MS = 60_000;
/** Mails read at a time, and so many more that wait, each of up to 10 MB. */
const READ_AT_ONCE = 2;
const MOST_WAITING = 8;

/** Listens for mail (RFC 5321). Unknown recipients are refused before anything is read, and so is what is too large or too much. */
export function listenForMail(mailIn: MailIn, domain: string): SMTPServer {
  const connections = new Map<string, number>();
  const reading = new Lanes(READ_AT_ONCE, MOST_WAITING);
  const server: SMTPServer = new SMTPServer({
    banner: 'Kotiva',
    disabledCommands: ['AUTH', 'STARTTLS'],
    size: MOST_BYTES,
    maxClients: MOST_CONNECTIONS,
    socketTimeout: SILENCE_MS,
    closeTimeout: 5_000,
    disableReverseLookup: true,
    logger: false,
    onConnect({ remoteAddress }, callback) {
      const many = (connections.get(remoteAddress) ?? 0) + 1;
      connections.set(remoteAddress, many);
      callback(many > MOST_OF_ADDRESS ? smtpError(421, 'Too many connections from your address.') : null);
    },
    onClose({ remoteAddress }) {
      const left = (connections.get(remoteAddress) ?? 1) - 1;
      if (left > 0) connections.set(remoteAddress, left);
      else connections.delete(remoteAddress);
    },
    onRcptTo({ address }, { envelope }, callback) {
      if (envelope.rcptTo.length >= MOST_RECIPIENTS) return callback(smtpError(452, 'Too many recipients at once.'));
      try {
        const known = address.toLowerCase().endsWith(`@${domain.toLowerCase()}`) && mailIn.knows(address);
        callback(known ? null : smtpError(550, 'Nobody has this address.'));
      } catch (error) {
        callback(faultOf(error));
      }
    },
    onData(stream, session, callback) {
      // whatever happens while it comes in ends this mail, and nothing else
      void reading.run(() => receive(stream, session, mailIn)).then(callback, (error: unknown) => callback(faultOf(error)));
    },
  });
  // what keeps it from listening at all is said by whoever started it
  server.on('error', (error) => server.server.listening && console.error('mail coming in:', error.message));
  return server;
}

async function receive(stream: SMTPServerDataStream, { envelope, remoteAddress }: SMTPServerSession, mailIn: MailIn): Promise<Error | null> {
  const raw = await wholeOf(stream);
  if (raw === null) return smtpError(552, 'That is more than 10 MB.');
  const returnPath = envelope.mailFrom ? envelope.mailFrom.address : '';
  for (const recipient of new Set(envelope.rcptTo.map(({ address }) => address.toLowerCase()))) {
    const taken = await mailIn.take(raw, recipient, { from: remoteAddress, returnPath });
    if (taken.outcome === 'refused') return smtpError(taken.later ? 452 : 550, `Refused: ${taken.why}.`);
  }
  return null;
}

/** Null: it is too large; the rest of it is let pass, and not kept. Rejects where the connection ends before the mail does. */
function wholeOf(stream: SMTPServerDataStream): Promise<Buffer[] | null> {
  return new Promise((resolve, reject) => {
    let chunks: Buffer[] | null = [];
    let size = 0;
    stream.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size > MOST_BYTES) chunks = null;
      chunks?.push(chunk);
    });
    stream.on('end', () => resolve(chunks));
    stream.on('error', reject);
    stream.on('close', () => reject(new CutOff('the connection ended before the mail did')));
  });
}

/** Whoever sent it has gone: there is nobody to tell, and nothing to look into. */
const isCutOff = (error: unknown): boolean => error instanceof Error && (error instanceof CutOff || (error as NodeJS.ErrnoException).code === 'ECONNECTION');

class CutOff extends Error {}

function faultOf(error: unknown): Error {
  if (isOfStorage(error)) return smtpError(452, 'There is no room to keep it now. Try again later.');
  // what can't be read today can't be read tomorrow
  if (error instanceof Error && /MIME|header|nested|child/i.test(error.message)) return smtpError(554, 'This mail can’t be read.');
  if (!isCutOff(error)) console.error(error);
  return smtpError(451, 'It could not be read now. Try again later.');
}

const smtpError = (responseCode: number, words: string): Error => Object.assign(new Error(words), { responseCode });
