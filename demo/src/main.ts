import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { Unusable } from '../../server/src/db/folder.ts';
import { portOf, root, startServer, stop } from '../../server/src/serve.ts';
import { demoServer } from './demo-server.ts';
import { DEMO_PASSWORD } from './fill.ts';
import { GUESTHOUSE, HOME } from './scenario/index.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4100' },
    data: { type: 'string', default: join(root, '.data/demo') },
    fresh: { type: 'boolean', default: false },
    simulate: { type: 'boolean', default: true },
    begin: { type: 'string' },
    host: { type: 'string', default: '127.0.0.1' },
    'mail-port': { type: 'string', default: process.env.KOTIVA_SMTP_IN_PORT },
  },
  allowNegative: true,
});

const demo = await demoServer({
  ...values,
  port: portOf(values.port),
  mailPort: values['mail-port'] ? portOf(values['mail-port']) : undefined,
  smtpUrl: process.env.KOTIVA_SMTP_URL,
}).catch((error: unknown) => {
  if (error instanceof Unusable) return stop(error.message);
  throw error;
});
await startServer(demo);
console.log(`What is sent is read at ${demo.publicUrl}/simulate; mail comes in at port ${demo.smtpInPort}.`);
console.log(`Sign in with one tap as anyone, or with NAME@kaislaranta.example and the password '${DEMO_PASSWORD}':`);
for (const { name, people } of [GUESTHOUSE, HOME]) console.log(`  ${name}: ${people.map((person) => `${person.name} (${person.role})`).join(', ')}`);
