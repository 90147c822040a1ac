import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { answer, answerLine, Unanswerable } from './occurrences.ts';

const USAGE =
  'Usage: kotiva occurrences --rrule "FREQ=…" --dtstart 2026-12-04T16:00 [--tz Europe/Helsinki] [--limit 50] [--before …] [--exdate …] [--rdate …]\n' +
  '       kotiva occurrences --batch   reads JSON lines {id, rrule, dtstart, tzid, exdate?, rdate?, before?, limit}';

/** A sentence on standard error, and a bad end. */
function stop(sentence: string): never {
  console.error(sentence);
  process.exit(2);
}

const OPTIONS = {
  rrule: { type: 'string' },
  dtstart: { type: 'string' },
  tz: { type: 'string' },
  limit: { type: 'string' },
  before: { type: 'string' },
  exdate: { type: 'string', multiple: true },
  rdate: { type: 'string', multiple: true },
  batch: { type: 'boolean' },
  help: { type: 'boolean' },
} as const;

function read() {
  try {
    return parseArgs({ options: OPTIONS, allowPositionals: true });
  } catch (error) {
    return stop(`${(error as Error).message.split('\n')[0]}`);
  }
}

async function main(): Promise<void> {
  const { values, positionals } = read();
  if (values.help) return void console.log(USAGE);
  if (positionals.length !== 1 || positionals[0] !== 'occurrences') stop(USAGE);
  if (values.batch) return batch();
  if (values.rrule === undefined) stop('Say which rule, with --rrule "FREQ=…".');
  if (values.dtstart === undefined) stop('Say from when, with --dtstart 2026-12-04T16:00.');
  const limit = values.limit ?? '50';
  if (!/^\d{1,6}$/.test(limit)) stop(`--limit is a whole number, not “${limit}”.`);
  const { rrule, dtstart, tz: tzid, before } = values;
  const [exdate, rdate] = [values.exdate ?? [], values.rdate ?? []].map((said) => said.flatMap((one) => one.split(',')));
  try {
    const found = answer({ rrule, dtstart, tzid, before, exdate, rdate, limit: Number(limit) });
    if (found.length > 0) process.stdout.write(`${found.join('\n')}\n`);
  } catch (error) {
    if (error instanceof Unanswerable) stop(error.message);
    throw error;
  }
}

async function batch(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin })) if (line.trim() !== '') process.stdout.write(`${JSON.stringify(answerLine(line))}\n`);
}

await main();
